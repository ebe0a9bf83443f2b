package pemblar.app.sky;

import java.util.Locale;

/** Where somebody trains, to a tenth of a degree: about ten kilometres, and no address. */
public record Place(String name, double latitude, double longitude) {
    private static final int LONGEST_NAME = 60;

    public Place {
        if (name == null || name.isBlank() || name.length() > LONGEST_NAME)
            throw new IllegalArgumentException("Place: enter a name of 1 to " + LONGEST_NAME + " characters.");
        if (!(Math.abs(latitude) <= 90))
            throw new IllegalArgumentException("Latitude: enter degrees from -90 to 90, e.g. 52.1.");
        if (!(Math.abs(longitude) <= 180))
            throw new IllegalArgumentException("Longitude: enter degrees from -180 to 180, e.g. 5.2.");
        latitude = Math.rint(latitude * 10) / 10;
        longitude = Math.rint(longitude * 10) / 10;
    }

    /** Names the square that it lies in. */
    String key() {
        return String.format(Locale.ROOT, "%.1f,%.1f", latitude, longitude);
    }
}
