package pemblar.app.frame.page;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.Locale;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import pemblar.core.recording.Channel;
import pemblar.core.sport.Measure;
import pemblar.core.sport.SpeedUnit;
import pemblar.core.sport.Sport;
import pemblar.core.workout.Pace;

/** How figures read on a page. A missing value reads as a dash. */
@Component
public class Shown {
    /** Stands where there is no figure. */
    public static final String NONE = "–";

    private static final DateTimeFormatter WEEKDAY = DateTimeFormatter.ofPattern("EEE", Locale.ENGLISH);
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);
    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);
    private static final DateTimeFormatter MOMENT =
            DateTimeFormatter.ofPattern("d\u00a0MMM\u00a0uuuu, HH:mm\u00a0'UTC'", Locale.ENGLISH);

    /** Hours and minutes, as 1 h 03 or 50 min. */
    public String duration(Number seconds) {
        if (seconds == null) return NONE;
        long minutes = Math.round(seconds.doubleValue() / 60);
        return minutes < 60 ? minutes + " min" : minutes / 60 + " h " + (minutes % 60 < 10 ? "0" : "") + minutes % 60;
    }

    /** Hours, minutes and seconds, as 1:05:00 or 4:00. */
    public static String clock(Number seconds) {
        if (seconds == null || Double.isNaN(seconds.doubleValue())) return NONE;
        long s = Math.round(seconds.doubleValue());
        return s >= 3600
                ? s / 3600 + ":" + Figures.two(s / 60 % 60) + ":" + Figures.two(s % 60)
                : s / 60 + ":" + Figures.two(s % 60);
    }

    public String whole(Number value) {
        return value == null || !Double.isFinite(value.doubleValue())
                ? NONE
                : String.valueOf(Math.round(value.doubleValue()));
    }

    /** With a sign, as +12 or −4. */
    public String signed(Number value) {
        if (value == null || !Double.isFinite(value.doubleValue())) return NONE;
        long whole = Math.round(value.doubleValue());
        return whole > 0 ? "+" + whole : whole < 0 ? "−" + -whole : "0";
    }

    public String decimal(Number value, int digits) {
        return value == null || !Double.isFinite(value.doubleValue())
                ? NONE
                : Units.mine().decimal(value.doubleValue(), digits);
    }

    /** The units of the person who asks, for labels. */
    public Units units() {
        return Units.mine();
    }

    /** Watts with their unit; only a dash when not known. */
    public String watts(Number value) {
        return value == null || !Double.isFinite(value.doubleValue()) ? NONE : whole(value) + " W";
    }

    /** With a sign and one digit, as +0.8. */
    public String signedTenths(Number value) {
        if (value == null || !Double.isFinite(value.doubleValue())) return NONE;
        String digits = decimal(Math.abs(value.doubleValue()), 1);
        return digits.matches("0[.,]0") ? digits : (value.doubleValue() > 0 ? "+" : "−") + digits;
    }

    public String kilometres(Number metres) {
        return metres == null ? NONE : Units.mine().distance(metres.doubleValue(), 1);
    }

    public String lengthUnit() {
        return Units.mine().lengthUnit();
    }

    /** A label with the unit of distances, as “Distance, km”. */
    public String inLength(String label) {
        return Units.mine().inLength(label);
    }

    /** A label with the unit of masses, as “Empty bar, kg”. */
    public String inMass(String label) {
        return Units.mine().inMass(label);
    }

    /** The same without its unit, for a field. */
    public String kilometresFigure(Number metres) {
        return metres == null ? "" : Units.mine().distanceFigure(metres.doubleValue(), 1);
    }

    public String kilograms(Number kilograms) {
        return kilograms == null ? NONE : Units.mine().mass(kilograms.doubleValue(), 1);
    }

    public String celsius(Number celsius) {
        return celsius == null ? NONE : Units.mine().degrees(celsius.doubleValue());
    }

    /**
     * A speed in m/s as the person reads it in a sport: minutes per kilometre or mile when running, per 100 m when
     * swimming, else km/h or mi/h.
     */
    public String speed(Sport sport, Number speed) {
        return speed == null || !(speed.doubleValue() > 0) ? NONE : speedFigure(sport, speed) + " " + speedUnit(sport);
    }

    /** The same without its unit. */
    public static String speedFigure(Sport sport, Number speed) {
        double value = speed.doubleValue();
        return !(value > 0)
                ? NONE
                : unit(sport).isPace()
                        ? Pace.clock(unit(sport).paceMetres() / value)
                        : Units.mine().decimal(unit(sport).perMetrePerSecond() * value, 1);
    }

    public static String speedUnit(Sport sport) {
        return unit(sport).unit();
    }

    /** How a speed of the sport reads for the person who asks. */
    public static SpeedUnit unit(Sport sport) {
        return Units.mine().speed(sport);
    }

    /** Unit of a measure as people of the sport read it. */
    public static String unit(Measure measure, Sport sport) {
        return switch (measure) {
            case POWER -> "W";
            case HEART_RATE -> "bpm";
            case SPEED -> speedUnit(sport);
        };
    }

    /** All sports, for a list to choose from. */
    public Sport[] sports() {
        return Sport.values();
    }

    /** A best effort in the sport's own measure: as a speed of the sport, or in watts. */
    public String best(Sport sport, Number value) {
        return sport.ownMeasure() == Measure.SPEED ? speed(sport, value) : watts(value);
    }

    /** As “255 to 266 W”; a pace from slow to fast. */
    public static String range(Measure measure, Sport sport, double low, double high) {
        boolean speed = measure == Measure.SPEED;
        String first = speed ? speedFigure(sport, low) : String.valueOf(Math.round(low));
        String last = speed ? speedFigure(sport, high) : String.valueOf(Math.round(high));
        return first + " to " + last + " " + unit(measure, sport);
    }

    /** Minutes per kilometre of a speed in m/s. */
    public String pace(Number speed) {
        return speed(Sport.RUN, speed);
    }

    public String percent(Number fraction) {
        return fraction == null || !Double.isFinite(fraction.doubleValue())
                ? NONE
                : Math.round(fraction.doubleValue() * 100) + " %";
    }

    public String kilojoules(Number joules) {
        return joules == null ? NONE : decimal(joules.doubleValue() / 1000, 1) + " kJ";
    }

    /** As Tue. */
    public static String weekday(LocalDate day) {
        return WEEKDAY.format(day);
    }

    public String day(LocalDate day) {
        return day == null ? NONE : DAY.format(day);
    }

    /** Day and minute of an instant in universal time, for people without a zone of their own. */
    public String moment(java.time.Instant instant) {
        return instant == null ? NONE : MOMENT.format(instant.atOffset(java.time.ZoneOffset.UTC));
    }

    public String date(LocalDate day) {
        return day == null ? NONE : DATE.format(day);
    }

    /** A span of days, as 9 to 31 August or 28 August to 3 September; one day stands alone. */
    public String span(LocalDate from, LocalDate to) {
        DateTimeFormatter month = DateTimeFormatter.ofPattern("d MMMM", Locale.ENGLISH);
        if (from.equals(to)) return month.format(from);
        return (from.getMonth() == to.getMonth() && from.getYear() == to.getYear()
                        ? String.valueOf(from.getDayOfMonth())
                        : month.format(from))
                + " to " + month.format(to);
    }

    /** As short as it can be: 8, or 8.5. */
    public String plain(Number value) {
        if (value == null || !Double.isFinite(value.doubleValue())) return NONE;
        double tenths = Math.rint(value.doubleValue() * 10) / 10;
        return tenths == Math.rint(tenths) ? String.valueOf((long) tenths) : decimal(tenths, 1);
    }

    /** The same for a field: nothing stands where nothing is known. */
    public String plainOrNothing(Number value) {
        return value == null ? "" : plain(value);
    }

    /** A word of the trade for a constant, such as “short intervals”. */
    public static String word(Enum<?> constant) {
        if (constant == null) return NONE;
        String name = constant.name();
        return name.equals("INTERVALS")
                ? "short intervals"
                : name.toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** The same with a capital, as the name of a session. */
    public static String titled(Enum<?> constant) {
        String word = word(constant);
        return Character.toUpperCase(word.charAt(0)) + word.substring(1);
    }

    /** What a channel is called: its word, or the name that the device's file gives. */
    public static String channel(String key) {
        return Channel.ofKey(key).map(Shown::word).orElse(key);
    }

    /** The same for several, parted by a comma and a blank. */
    public static String channels(String keys) {
        return Arrays.stream(keys.split(", ")).map(Shown::channel).collect(Collectors.joining(", "));
    }

    public String timeOfDay(Integer minute) {
        return minute == null ? "" : Figures.two(minute / 60) + ":" + Figures.two(minute % 60);
    }
}
