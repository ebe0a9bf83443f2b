package pemblar.app.sky;

import java.time.Instant;
import pemblar.app.frame.page.Units;

/**
 * An hour of weather as it was told.
 *
 * @param at its beginning
 * @param ice the ground is likely to be slippery
 */
public record SkyHour(Instant at, double celsius, double rainMillimetres, double windMetresPerSecond, boolean ice) {
    public SkyHour {
        if (!(Math.abs(celsius) <= 70))
            throw new IllegalArgumentException("celsius must be in -70..70, was " + celsius);
        if (!(rainMillimetres >= 0 && rainMillimetres <= 400))
            throw new IllegalArgumentException("rainMillimetres must be in 0..400, was " + rainMillimetres);
        if (!(windMetresPerSecond >= 0 && windMetresPerSecond <= 120))
            throw new IllegalArgumentException("windMetresPerSecond must be in 0..120, was " + windMetresPerSecond);
    }

    /** As “4 °C, rain, 6 m/s of wind, icy”. */
    public String words() {
        String rain =
                rainMillimetres <= 0 ? "dry" : celsius <= 0 ? "snow" : rainMillimetres < 1 ? "light rain" : "rain";
        return Units.mine().degrees(celsius) + ", " + rain + ", wind " + Math.round(windMetresPerSecond) + " m/s"
                + (ice ? ", icy" : "");
    }
}
