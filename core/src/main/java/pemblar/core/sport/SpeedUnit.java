package pemblar.core.sport;

/** How people read a speed: as a speed, or turned over as the time for a distance. */
public enum SpeedUnit {
    KILOMETRES_PER_HOUR("km/h", 0),
    MILES_PER_HOUR("mi/h", 0),
    PER_KILOMETRE("/km", 1000),
    PER_MILE("/mi", 1609.344),
    PER_100_METRES("/100 m", 100),
    PER_500_METRES("/500 m", 500);

    private final String unit;
    private final double paceMetres;

    SpeedUnit(String unit, double paceMetres) {
        this.unit = unit;
        this.paceMetres = paceMetres;
    }

    /** Behind the figure, as km/h or /100 m. */
    public String unit() {
        return unit;
    }

    /** A speed in this unit for each m/s; paces have none. */
    public double perMetrePerSecond() {
        return this == MILES_PER_HOUR ? 3600 / PER_MILE.paceMetres : 3.6;
    }

    /** The same for people who think in miles; courses and pools stay metric. */
    public SpeedUnit inMiles() {
        return this == KILOMETRES_PER_HOUR ? MILES_PER_HOUR : this == PER_KILOMETRE ? PER_MILE : this;
    }

    public boolean isPace() {
        return paceMetres > 0;
    }

    /** Distance of which a pace is the time, m; 0 for a speed. */
    public double paceMetres() {
        return paceMetres;
    }

    /** On an axis, as km/h or min/100 m. */
    public String axisUnit() {
        return isPace() ? "min" + unit : unit;
    }

    /** As the shorthand writes it: km, mi, 100m; empty for a speed. */
    public String shorthand() {
        return isPace() ? unit.substring(1).replace(" ", "") : "";
    }
}
