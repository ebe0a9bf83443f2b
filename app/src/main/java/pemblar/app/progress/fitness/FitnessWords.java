package pemblar.app.progress.fitness;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import pemblar.app.frame.page.Units;
import pemblar.core.aerobic.AerobicTrend;
import pemblar.core.aerobic.AerobicTrend.Cost;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;

/** What the aerobic trend says, and no more than its data hold. */
final class FitnessWords {
    private FitnessWords() {}

    static String sentence(AerobicTrend trend, Sport sport) {
        if (trend.notEnough().isPresent())
            return "Not enough yet: " + trend.notEnough().get()
                    + ". It takes steady stretches of five minutes with heart rate, and a resting and a "
                    + "maximum heart rate set.";
        boolean speed = sport.ownMeasure() == Measure.SPEED;
        AerobicTrend.Week first = trend.weeks().get(0);
        AerobicTrend.Week last = trend.weeks().get(trend.weeks().size() - 1);
        String since = " since " + first.day().format(FitnessDrawing.DAY);
        return "At 70 % of your heart-rate reserve you hold " + FitnessDrawing.shown(last.value(), speed)
                + " (95 % range " + FitnessDrawing.shown(last.low(), speed) + " to "
                + FitnessDrawing.shown(last.high(), speed) + ")" + change(first, last, since, speed);
    }

    private static String change(AerobicTrend.Week first, AerobicTrend.Week last, String since, boolean speed) {
        double percent = 100 * (last.value() / first.value() - 1);
        boolean apart = last.low() > first.high() || last.high() < first.low();
        if (!apart)
            return "; the change" + since + ", "
                    + String.format(Locale.ROOT, "%+.1f %%", percent).replace('-', '−')
                    + ", is within what the data can tell.";
        String way = percent > 0 ? speed ? " faster" : " more" : speed ? " slower" : " less";
        return String.format(Locale.ROOT, ", %.1f %%", Math.abs(percent)) + way + " than on"
                + since.substring(" since".length()) + ".";
    }

    static List<String> costs(AerobicTrend trend) {
        return trend.costs().stream().map(c -> cost(c, trend.commonest())).toList();
    }

    private static String cost(Cost c, String commonest) {
        return switch (c.name()) {
            case AerobicTrend.HEAT -> heat(c);
            case AerobicTrend.DRIFT -> condition(c, 1, "Each hour into a session", "An hour into a session", "longer");
            default -> surface(c, commonest);
        };
    }

    private static String heat(Cost c) {
        Units units = Units.mine();
        double per = 1 / (units.temperature(1) - units.temperature(0));
        String above = "degree above " + units.degrees(AerobicTrend.COOL_CELSIUS);
        return condition(c, per, "Each " + above, "A " + above, "warm");
    }

    /** Neither heat nor hours make anybody better: where sessions came out so, something else did it. */
    private static String condition(Cost c, double per, String each, String one, String which) {
        if (c.told() && c.percent() > 0) return each + " costs you " + reach(c, per) + ".";
        if (c.high() <= 0)
            return "No such cost is seen: your " + which + " sessions came out better than the others. "
                    + (which.equals("warm") ? "Heat does" : "Hours do")
                    + " not do that; something that went with them did, or chance.";
        return one + " costs you at most " + figure(per * c.high()) + " %; "
                + (c.low() > 0 ? "it may be chance." : "the data cannot tell it from nothing.");
    }

    private static String surface(Cost c, String commonest) {
        String against = commonest.isEmpty() ? "sessions of which nobody said the surface" : commonest;
        String name = capital(c.name());
        if (c.name().equals(AerobicTrend.UNSAID)) name = "Sessions without a surface";
        boolean many = c.name().equals(AerobicTrend.UNSAID);
        if (!c.told())
            return name + " against " + against + ": " + signed(-c.high()) + " to " + signed(-c.low())
                    + (c.low() > 0 || c.high() < 0
                            ? " %, which may be chance: it is one of several looked at."
                            : " %, which the data cannot tell from nothing.");
        return many
                ? name + " come out " + reach(c, 1) + (c.percent() > 0 ? " lower" : " higher") + " than " + against
                        + "."
                : name + " costs you " + reach(c, 1) + (c.percent() > 0 ? " more" : " less") + " than " + against + ".";
    }

    /** What the line rests on, and what of the year's sessions is not in it, with why. */
    static List<String> rests(Basis basis, AerobicTrend trend, boolean speed) {
        List<String> said = new ArrayList<>();
        if (trend.notEnough().isEmpty())
            said.add("Rests on " + count(basis.pieces(), "steady stretch", "steady stretches") + " of 5 min in "
                    + count(trend.adjusted().size(), "session", "sessions") + " of the year.");
        else
            said.add("In the year: " + count(basis.recordings(), "session", "sessions") + " with a recording, "
                    + basis.sessions() + " of them with a steady stretch of 5 min.");
        out(said, basis.withoutHeartRate(), "without a heart rate");
        out(said, basis.withoutOutput(), "without " + (speed ? "speed" : "power"));
        out(said, basis.nothingSteady(), "without 5 steady minutes after the first ten");
        out(
                said,
                basis.outside(),
                "steady only outside 60 to 88 % of reserve, or on days without a resting and a "
                        + "maximum heart rate");
        if (basis.ofSky() > 0)
            said.add(count(basis.ofSky(), "session has", "sessions have") + " the temperature of the sky: "
                    + (basis.ofSky() == 1 ? "its device" : "their devices") + " recorded none.");
        if (basis.withoutTemperature() > 0)
            said.add(count(basis.withoutTemperature(), "session has", "sessions have")
                    + " no temperature and "
                    + (basis.withoutTemperature() == 1 ? "counts" : "count") + " as cool.");
        String warm = Math.round(AerobicTrend.COOL_CELSIUS) + " °C";
        for (AerobicTrend.LeftOut l : trend.leftOut())
            said.add("Left out: " + l.name() + ", "
                    + l.why().replace(warm, Units.mine().degrees(AerobicTrend.COOL_CELSIUS)) + ".");
        return said;
    }

    private static void out(List<String> said, int sessions, String why) {
        if (sessions > 0) said.add("Not in it: " + count(sessions, "session", "sessions") + " " + why + ".");
    }

    private static String count(int n, String one, String more) {
        return n + " " + (n == 1 ? one : more);
    }

    private static String reach(Cost c, double per) {
        return figure(per * Math.abs(c.percent())) + " ± " + figure(per * (c.high() - c.low()) / 2) + " %";
    }

    private static String figure(double percent) {
        return Units.mine().decimal(percent, 1);
    }

    private static String signed(double percent) {
        String figure = figure(Math.abs(percent));
        return (percent < 0 ? "−" : "+") + figure;
    }

    private static String capital(String name) {
        return Character.toUpperCase(name.charAt(0)) + name.substring(1);
    }

    /**
     * The recordings of a year in one sport, each counted once.
     *
     * @param sessions with at least a stretch within 60 to 88 % of reserve
     * @param outside with stretches, none of them within it
     * @param ofSky those of the sessions whose temperature is the sky's
     * @param withoutTemperature those of the sessions that have none
     */
    record Basis(
            int recordings,
            int withoutHeartRate,
            int withoutOutput,
            int nothingSteady,
            int outside,
            int sessions,
            int pieces,
            int ofSky,
            int withoutTemperature) {}
}
