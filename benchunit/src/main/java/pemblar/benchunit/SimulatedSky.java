package pemblar.benchunit;

import java.time.Instant;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;

/**
 * The stand-in for a weather service: seasons by latitude, spells of several days, days and nights, rain, wind, and ice
 * where it is wet and below freezing. The same place and hour always have the same weather; none of it is real.
 */
public final class SimulatedSky {
    /** Hours that one question may ask for. */
    public static final int MOST_HOURS = 24 * 10;

    private static final double SPELL_HOURS = 80;
    private static final double SHOWER_HOURS = 5;
    private static final int WET_HOURS = 12;
    private final long seed;
    private final double latitude;
    private final double longitude;

    /** @throws IllegalArgumentException unless latitude lies in -90..90 and longitude in -180..180, degrees */
    public SimulatedSky(double latitude, double longitude) {
        if (!(Math.abs(latitude) <= 90))
            throw new IllegalArgumentException("latitude must be in -90..90, was " + latitude);
        if (!(Math.abs(longitude) <= 180))
            throw new IllegalArgumentException("longitude must be in -180..180, was " + longitude);
        this.latitude = Math.rint(latitude * 10) / 10;
        this.longitude = Math.rint(longitude * 10) / 10;
        this.seed = Math.round(this.latitude * 10) * 7919 + Math.round(this.longitude * 10) * 104_729;
    }

    /**
     * One hour of weather.
     *
     * @param at its beginning
     * @param rainMillimetres in that hour, also as snow
     * @param ice the ground is likely to be slippery
     */
    public record Hour(Instant at, double celsius, double rainMillimetres, double windMetresPerSecond, boolean ice) {}

    /** Whole hours from one instant up to another, both ends included; at most {@link #MOST_HOURS}. */
    public List<Hour> hours(Instant from, Instant to) {
        List<Hour> hours = new ArrayList<>();
        Instant at = from.truncatedTo(ChronoUnit.HOURS);
        while (!at.isAfter(to) && hours.size() < MOST_HOURS) {
            hours.add(hour(at));
            at = at.plus(1, ChronoUnit.HOURS);
        }
        return hours;
    }

    private Hour hour(Instant at) {
        long index = Math.floorDiv(at.getEpochSecond(), 3600L);
        double celsius = celsius(at, index);
        double rain = rain(index);
        double wind = 1.5 + 9 * Math.pow(noise(3, index / 18.0), 2);
        boolean wet = false;
        for (int back = 0; back < WET_HOURS && !wet; back++) wet = rain(index - back) > 0;
        return new Hour(at, tenths(celsius), tenths(rain), tenths(wind), wet && celsius <= 0.5);
    }

    private double celsius(Instant at, long index) {
        ZonedDateTime utc = at.atZone(ZoneOffset.UTC);
        double away = Math.abs(latitude);
        double side = latitude < 0 ? -1 : 1;
        double year = Math.cos(2 * Math.PI * (utc.getDayOfYear() - 200) / 365.25) * side;
        double solar = utc.getHour() + longitude / 15;
        double day = Math.cos(2 * Math.PI * (solar - 15) / 24);
        double spell = 2 * noise(1, index / SPELL_HOURS) - 1;
        return 27 - 0.33 * away + year * 0.19 * away + day * 4 + spell * 6;
    }

    /** Showers come in spells that are wet as a whole. */
    private double rain(long index) {
        double wetSpell = noise(2, index / SPELL_HOURS);
        double shower = noise(4, index / SHOWER_HOURS);
        return wetSpell > 0.5 && shower > 0.55 ? (shower - 0.55) * 10 * wetSpell : 0;
    }

    /** Smooth noise of 0 to 1: seeded values at whole numbers, with an even curve between them. */
    private double noise(int kind, double at) {
        long whole = (long) Math.floor(at);
        double part = at - whole;
        double curve = part * part * (3 - 2 * part);
        return value(kind, whole) * (1 - curve) + value(kind, whole + 1) * curve;
    }

    /** Of 0 to 1, by the mixing function of SplitMix64 (Steele, Lea and Flood, OOPSLA 2014). */
    private double value(int kind, long index) {
        long z = seed * 0x9E3779B97F4A7C15L + kind * 0xBF58476D1CE4E5B9L + index * 0x94D049BB133111EBL;
        z = (z ^ z >>> 30) * 0xBF58476D1CE4E5B9L;
        z = (z ^ z >>> 27) * 0x94D049BB133111EBL;
        return ((z ^ z >>> 31) >>> 11) * 0x1.0p-53;
    }

    private static double tenths(double value) {
        return Math.rint(value * 10) / 10;
    }
}
