package pemblar.app.frame.page;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.Arrays;
import java.util.List;
import pemblar.core.sport.SpeedUnit;
import pemblar.core.sport.Sport;

/**
 * How figures read for the person who asks, and how what they type is read. Everything inside and every file stays SI;
 * only pages and forms ask here. Kept for the thread of a request, since every figure of a page needs it.
 */
public record Units(
        Length length, Mass mass, Temperature temperature, Decimal decimal, DayOfWeek weekStart, Theme theme) {
    public static final Units METRIC = new Units(
            Length.KILOMETRES, Mass.KILOGRAMS, Temperature.CELSIUS, Decimal.POINT, DayOfWeek.MONDAY, Theme.SYSTEM);
    private static final ThreadLocal<Units> MINE = new ThreadLocal<>();

    /** Distances, speeds and paces. */
    public enum Length {
        KILOMETRES("km", "kilometres", 1000),
        /** The international mile of 1959. */
        MILES("mi", "miles", 1609.344);

        private final String unit;
        private final String words;
        private final double metres;

        Length(String unit, String words, double metres) {
            this.unit = unit;
            this.words = words;
            this.metres = metres;
        }

        public String words() {
            return words;
        }
    }

    /** Body mass and what is lifted. */
    public enum Mass {
        KILOGRAMS("kg", "kilograms", 1),
        /** The avoirdupois pound of 1959. */
        POUNDS("lb", "pounds", 0.45359237);

        private final String unit;
        private final String words;
        private final double kilograms;

        Mass(String unit, String words, double kilograms) {
            this.unit = unit;
            this.words = words;
            this.kilograms = kilograms;
        }

        public String words() {
            return words;
        }
    }

    public enum Temperature {
        CELSIUS("°C"),
        FAHRENHEIT("°F");

        private final String unit;

        Temperature(String unit) {
            this.unit = unit;
        }

        public String words() {
            return unit;
        }
    }

    public enum Decimal {
        POINT("3.5"),
        COMMA("3,5");

        private final String words;

        Decimal(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** Light, dark, or as the device has it. */
    public enum Theme {
        SYSTEM("as the device has it"),
        LIGHT("light"),
        DARK("dark");

        private final String words;

        Theme(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** Of the person whose request this thread answers; metric where nobody asks. */
    public static Units mine() {
        Units mine = MINE.get();
        return mine == null ? METRIC : mine;
    }

    /** Until {@link #release}. */
    public static void bind(Units units) {
        MINE.set(units);
    }

    public static void release() {
        MINE.remove();
    }

    /** A figure with so many digits behind the person's decimal sign. */
    public String decimal(double value, int digits) {
        String text = Figures.fixed(value, digits);
        return decimal == Decimal.COMMA ? text.replace('.', ',') : text;
    }

    /** How people of a sport read a speed; lengths of a pool and of a rowing course are metres for everybody. */
    public SpeedUnit speed(Sport sport) {
        return length == Length.KILOMETRES ? sport.speed() : sport.speed().inMiles();
    }

    /** A label with the unit of distances, as “Distance, km”. */
    public String inLength(String label) {
        return label + ", " + length.unit;
    }

    /** A label with the unit of masses, as “Empty bar, kg”. */
    public String inMass(String label) {
        return label + ", " + mass.unit;
    }

    public String lengthUnit() {
        return length.unit;
    }

    /** Metres in the unit of distances. */
    public double lengthMetres() {
        return length.metres;
    }

    /** Without its unit. */
    public String distanceFigure(double metres, int digits) {
        return decimal(metres / length.metres, digits);
    }

    public String distance(double metres, int digits) {
        return distanceFigure(metres, digits) + " " + length.unit;
    }

    /** A typed distance in metres. @throws IllegalArgumentException naming the field and what is possible */
    public double metres(String field, String typed, double leastMetres, double mostMetres) {
        if (length == Length.KILOMETRES)
            return 1000 * Typed.number(field, typed, leastMetres / 1000, mostMetres / 1000);
        double least = Math.ceil(leastMetres / length.metres * 100) / 100;
        return length.metres * Typed.number(inLength(field), typed, least, Math.floor(mostMetres / length.metres));
    }

    public String massUnit() {
        return mass.unit;
    }

    /** Kilograms in the unit of masses. */
    public double massKilograms() {
        return mass.kilograms;
    }

    public double mass(double kilograms) {
        return kilograms / mass.kilograms;
    }

    public String mass(double kilograms, int digits) {
        return decimal(mass(kilograms), digits) + " " + mass.unit;
    }

    /** A typed mass in kilograms. @throws IllegalArgumentException as {@link #metres} */
    public double kilograms(String field, String typed, double least, double most) {
        if (mass == Mass.KILOGRAMS) return Typed.number(field, typed, least, most);
        return mass.kilograms * Typed.number(inMass(field), typed, Math.ceil(mass(least)), Math.floor(mass(most)));
    }

    public String temperatureUnit() {
        return temperature.unit;
    }

    public double temperature(double celsius) {
        return temperature == Temperature.CELSIUS ? celsius : celsius * 9 / 5 + 32;
    }

    /** In whole degrees. */
    public String degrees(double celsius) {
        long whole = Math.round(temperature(celsius));
        return (whole < 0 ? "−" + -whole : String.valueOf(whole)) + " " + temperature.unit;
    }

    /** A typed temperature in °C. @throws IllegalArgumentException as {@link #metres} */
    public double celsius(String field, String typed, double least, double most) {
        double degrees = Typed.number(field, typed, temperature(least), temperature(most));
        return temperature == Temperature.CELSIUS ? degrees : (degrees - 32) * 5 / 9;
    }

    /** Where the dark sheet holds, as a media query. */
    public String darkMedia() {
        return theme == Theme.SYSTEM ? "(prefers-color-scheme: dark)" : theme == Theme.DARK ? "all" : "not all";
    }

    /** The first day of the week in which a day lies. */
    public LocalDate weekOf(LocalDate day) {
        return day.with(TemporalAdjusters.previousOrSame(weekStart));
    }

    /** The days of a week in the person's order. */
    public List<DayOfWeek> weekdays() {
        return Arrays.stream(DayOfWeek.values())
                .map(day -> weekStart.plus(day.ordinal()))
                .toList();
    }
}
