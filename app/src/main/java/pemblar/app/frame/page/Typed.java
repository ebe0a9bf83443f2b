package pemblar.app.frame.page;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Arrays;

/** Reads what a person typed. A refusal names the field, what was found and what is accepted. */
public final class Typed {
    /** A day of a plan or of a session lies within so many years. */
    public static final int YEARS_BACK = 30;

    public static final int YEARS_AHEAD = 3;
    private static final int FIRST_YEAR = 1990;
    private static final int LAST_YEAR = 2100;

    private Typed() {}

    public static double number(String field, String typed, double least, double most) {
        double value;
        try {
            value = Double.parseDouble(typed == null ? "" : typed.strip().replace(',', '.'));
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException(
                    field + ": " + no(typed, "a number") + "; enter " + plain(least) + " to " + plain(most) + ".");
        }
        if (!(value >= least && value <= most))
            throw new IllegalArgumentException(field + ": " + typed.strip() + " is not possible; enter " + plain(least)
                    + " to " + plain(most) + ". The nearest is " + plain(value > most ? most : least) + ".");
        return value;
    }

    private static String no(String typed, String kind) {
        return typed == null || typed.isBlank() ? "nothing was entered" : "“" + typed + "” is not " + kind;
    }

    public static int whole(String field, String typed, int least, int most) {
        double value = number(field, typed, least, most);
        if (value != Math.rint(value))
            throw new IllegalArgumentException(field + ": enter a whole number from " + least + " to " + most + ".");
        return (int) value;
    }

    public static LocalDate day(String field, String typed) {
        try {
            LocalDate day = LocalDate.parse(typed == null ? "" : typed.strip());
            if (day.getYear() >= FIRST_YEAR && day.getYear() < LAST_YEAR) return day;
            throw new IllegalArgumentException(field + ": " + day + " is too far; the nearest possible lies between "
                    + FIRST_YEAR + " and " + (LAST_YEAR - 1) + ".");
        } catch (DateTimeParseException e) {
            throw new IllegalArgumentException(field + ": " + no(typed, "a day") + "; enter one such as 2027-05-30.");
        }
    }

    /** A day on a plan lies within 30 years back and 3 years ahead of today. */
    public static LocalDate near(String field, LocalDate day, LocalDate today) {
        LocalDate first = today.minusYears(YEARS_BACK);
        LocalDate last = today.plusYears(YEARS_AHEAD);
        if (day.isBefore(first) || day.isAfter(last))
            throw new IllegalArgumentException(field + ": " + day + " is too far; the nearest possible is "
                    + (day.isAfter(last) ? last : first) + ".");
        return day;
    }

    /** A day of an address, or null when it is none: an address is not typed, so nobody has to be told. */
    public static LocalDate dayOrNull(String text) {
        try {
            return text == null || text.isBlank() ? null : day("Day", text);
        } catch (IllegalArgumentException e) {
            return null;
        }
    }

    /** A clock time as 17:30 in minutes since midnight, or null. */
    public static Integer minuteOrNull(String time) {
        return time != null && time.matches("([01]?\\d|2[0-3]):[0-5]\\d")
                ? Integer.valueOf(Integer.parseInt(time.split(":")[0]) * 60 + Integer.parseInt(time.split(":")[1]))
                : null;
    }

    /** As 1h20, 1h20min, 90min, 45 s, 1:20:00 or 20:00; a bare number is minutes. */
    public static int seconds(String field, String typed, int least, int most) {
        String text = typed == null
                ? ""
                : typed.strip().toLowerCase(java.util.Locale.ROOT).replace(" ", "");
        int seconds = parsed(text);
        if (seconds < 0)
            throw new IllegalArgumentException(
                    field + ": “" + typed + "” is not a time; enter one such as 1h20, 45min or 1:20:00.");
        if (seconds < least || seconds > most)
            throw new IllegalArgumentException(
                    field + ": “" + typed + "” is not possible; enter " + clock(least) + " to " + clock(most) + ".");
        return seconds;
    }

    private static int parsed(String text) {
        if (text.matches("\\d{1,5}")) return Integer.parseInt(text) * 60;
        if (text.matches("\\d{1,3}:[0-5]\\d(:[0-5]\\d)?")) {
            String[] parts = text.split(":");
            return parts.length == 3
                    ? Integer.parseInt(parts[0]) * 3600 + Integer.parseInt(parts[1]) * 60 + Integer.parseInt(parts[2])
                    : Integer.parseInt(parts[0]) * 60 + Integer.parseInt(parts[1]);
        }
        var matcher = java.util.regex.Pattern.compile("(?:(\\d{1,3})h)?(?:(\\d{1,4})(?:min|m|$))?(?:(\\d{1,5})s)?")
                .matcher(text);
        if (text.isEmpty() || !matcher.matches()) return -1;
        return part(matcher.group(1)) * 3600 + part(matcher.group(2)) * 60 + part(matcher.group(3));
    }

    private static int part(String digits) {
        return digits == null ? 0 : Integer.parseInt(digits);
    }

    private static String clock(int seconds) {
        return seconds % 3600 == 0 ? seconds / 3600 + " h" : seconds % 60 == 0 ? seconds / 60 + " min" : seconds + " s";
    }

    private static String plain(double value) {
        return value == Math.rint(value) ? String.valueOf((long) value) : String.valueOf(value);
    }

    /** One of a list. @throws IllegalArgumentException naming the field when it is none of them */
    public static <E extends Enum<E>> E choice(String field, Class<E> list, String typed) {
        return Arrays.stream(list.getEnumConstants())
                .filter(c -> c.name().equals(typed))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(field + ": choose one of the list."));
    }
}
