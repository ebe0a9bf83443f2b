package pemblar.core.comparison;

import java.util.Locale;

/** A comparison as a sentence that claims no more than the sessions show. */
public final class ComparisonWords {
    private ComparisonWords() {}

    /** Names of the two groups. */
    public record Groups(String first, String second) {}

    /**
     * What is compared.
     *
     * @param name as heart rate
     * @param unit with a blank before it; empty when it is not known
     * @param along what is held equal, as power
     * @param counted what repetitions have in common: session, or day where a day holds several
     */
    public record Compared(String name, String unit, String along, String counted) {
        public Compared(String name, String unit, String along) {
            this(name, unit, along, "session");
        }

        /** Of something without a name. */
        public static Compared along(String along, String unit) {
            return new Compared("what is compared", unit, along);
        }

        public Compared byDay() {
            return new Compared(name, unit, along, "day");
        }
    }

    public static String of(SessionComparison c, Groups groups, Compared compared) {
        if (!c.footing().isHeldEqual()) return notHeld(c, groups, compared) + cut(c);
        if (!c.footing().isShared()) return readOff(c, groups, compared);
        return "At equal " + compared.along() + ", " + much(c, groups, compared, " is ") + ". " + claim(c, compared)
                + cut(c);
    }

    /**
     * For groups that hardly share anything along which they are compared: the figure is read off lines beyond their
     * points, so no probability is given for it.
     */
    private static String readOff(SessionComparison c, Groups groups, Compared compared) {
        return "At equal " + compared.along() + ", " + much(c, groups, compared, " would be ")
                + ", read off the lines within the " + compared.counted() + "s." + cut(c)
                + " But the two hardly overlap in "
                + compared.along() + ": this rests on how one follows the other within the " + compared.counted()
                + "s, not on like"
                + " repetitions, and is no proof.";
    }

    /**
     * Nothing says how one follows the other, and the groups lie apart: the difference may be that of the covariate.
     */
    private static String notHeld(SessionComparison c, Groups groups, Compared compared) {
        String name = compared.name().substring(0, 1).toUpperCase(Locale.ROOT)
                + compared.name().substring(1);
        Compared first = new Compared(name, compared.unit(), compared.along(), compared.counted());
        double apart = 100 * c.footing().apart();
        return much(c, groups, first, " is ") + ", at "
                + String.format(Locale.ROOT, "%.1f %% %s ", Math.abs(apart), apart >= 0 ? "more" : "less")
                + compared.along() + ". Within a " + compared.counted() + " neither has repetitions at unlike "
                + compared.along()
                + ", so it could not be held equal, and the difference may be that.";
    }

    private static String much(SessionComparison c, Groups groups, Compared compared, String verb) {
        String figure = figure(Math.abs(c.difference()), c) + compared.unit();
        if (figure.matches("0[.]0+\\D*"))
            return compared.name() + verb + "as high with " + groups.second() + " as with " + groups.first();
        return compared.name() + verb + figure + (c.difference() >= 0 ? " higher" : " lower") + " with "
                + groups.second() + " than with " + groups.first();
    }

    private static final int MOST_DECIMALS = 6;
    private static final double NEAR_ZERO = 0.05;

    /**
     * No more decimals than say something: 3.1 bpm, 0.12 m/s, 0.0042 m a beat; and enough to tell the end of a range
     * from zero.
     */
    private static String figure(double value, SessionComparison c) {
        int decimals = decimals(Math.abs(c.difference()));
        if (Math.abs(value) < NEAR_ZERO) decimals = Math.max(decimals, 2);
        return String.format(Locale.ROOT, "%." + decimals + "f", value);
    }

    private static int decimals(double size) {
        if (size >= 1) return 1;
        return (int) Math.min(MOST_DECIMALS, 1 + Math.ceil(-Math.log10(size)));
    }

    private static String cut(SessionComparison c) {
        return c.cutTo().isPresent()
                ? " All repetitions were cut to the shortest, " + c.cutTo().getAsInt() + " s."
                : "";
    }

    private static String claim(SessionComparison c, Compared compared) {
        String counted = compared.counted();
        return switch (c.design()) {
            case TOO_FEW_SESSIONS ->
                c.firstSessions() == 1 && c.secondSessions() == 1
                        ? "One day each: the data can't tell the groups from the days."
                        : "One group has a single " + counted + ": the data can't tell the groups from the days.";
            case ONE_SESSION_ALTERNATING ->
                one(counted) + ", in turn, with their order taken into account; one " + counted
                        + " gives no probability.";
            case ONE_SESSION_IN_ORDER -> one(counted) + " and not in turn: order and group can't be told apart.";
            case BETWEEN_SESSIONS, WITHIN_SESSIONS -> tested(c, compared);
        };
    }

    private static String one(String counted) {
        return counted.equals("day") ? "All on one day" : "All in one " + counted;
    }

    private static String tested(SessionComparison c, Compared compared) {
        String range = ("95 % range " + figure(c.test().low(), c) + " to "
                                + figure(c.test().high(), c))
                        .replace("-", "−")
                + compared.unit();
        String days = c.design() == SessionComparison.Design.WITHIN_SESSIONS
                ? "within " + c.firstSessions() + " " + compared.counted() + "s that hold both"
                : "over " + c.firstSessions() + " and " + c.secondSessions() + " " + compared.counted() + "s";
        return c.sure()
                ? "Chance between days would seldom give that (" + range + ", " + days + ")."
                : "That can be chance between days (" + range + ", " + days + ").";
    }
}
