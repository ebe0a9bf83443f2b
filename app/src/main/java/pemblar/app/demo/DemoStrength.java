package pemblar.app.demo;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Locale;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.strength.StrengthMaking;
import pemblar.app.strength.maximum.MaximaService;
import pemblar.core.strength.Repetitions;

/** Twenty weeks of strength work beside the endurance, with maxima that rose. */
@Component
class DemoStrength {
    private static final int WEEKS = 20;
    private static final int WEEKS_AHEAD = 4;
    private static final double PLATES = 2.5;
    private static final String LEGS = "warm-up: back squat\nback squat 4 x 5 at 80%, rest 3min\n"
            + "romanian deadlift 3 x 8 at 70%, rest 2min\nA1 pull-up 4 x 6 at body mass\n"
            + "A2 split squat 4 x 8 each at 60%\n"
            + "calf raise 2 x 12 at 65%, last as many as possible -> max\nplank 3 x 45s";
    private static final String UPPER = "bench press 3 x 8 at 70%, rest 2min\nrow 3 x 8 at 65%, rest 2min\n"
            + "back squat 3 x 3 at 85%, rest 3min\nside plank 3 x 30s each\ndead bug 3 x 10 each";
    private final StrengthMaking making;

    DemoStrength(StrengthMaking making) {
        this.making = making;
    }

    void keep(Viewer coach) {
        making.keep(coach, "Legs, heavy", LEGS);
        making.keep(coach, "Squats, bench, rows", UPPER);
    }

    void add(DemoAthlete demo, Athlete athlete, Viewer viewer, LocalDate today) {
        if (demo.isMixed()) return;
        Visit visit = new Visit(athlete.id(), viewer);
        double share = demo.kilograms() / 66;
        LocalDate first = today.minusWeeks(WEEKS);
        typed(visit, "back squat", new At(first, share * 92));
        for (int rise = 1; rise < 3; rise++)
            lifted(visit, "back squat", new At(first.plusWeeks(7L * rise), share * (77.5 + 5 * rise)), 5);
        lifted(visit, "deadlift", new At(first, share * 107.5), 3);
        typed(visit, "bench press", new At(first, share * 62));
        typed(visit, "row", new At(first, share * 66));
        typed(visit, "calf raise", new At(first, share * 120));
        double pulled = Repetitions.maximum(demo.kilograms() + 10, 3);
        keep(visit, "pull-up", new At(first, pulled), "3 with 10 kg");
        making.link(visit, new MaximaService.Link("split squat", "back squat", 35, false));
        making.link(visit, new MaximaService.Link("romanian deadlift", "deadlift", 80, true));
        for (int week = -WEEKS; week < WEEKS_AHEAD; week++) {
            LocalDate monday = today.plusWeeks(week).with(DayOfWeek.MONDAY);
            if (monday.isBefore(first)) continue;
            boolean legs = week % 2 == 0;
            making.session(
                    visit,
                    athlete,
                    legs
                            ? new StrengthMaking.Wanted(monday, "Legs, heavy", LEGS)
                            : new StrengthMaking.Wanted(monday, "Squats, bench, rows", UPPER),
                    asked -> asked + 1);
        }
    }

    private record At(LocalDate day, double kilograms) {}

    private void typed(Visit visit, String exercise, At at) {
        keep(visit, exercise, new At(at.day(), Math.rint(at.kilograms())), "typed");
    }

    /** @param at the day, and about what was on the bar */
    private void lifted(Visit visit, String exercise, At at, int repetitions) {
        double load = PLATES * Math.rint(at.kilograms() / PLATES);
        String said = String.format(Locale.ROOT, load % 1 == 0 ? "%.0f kg × %d" : "%.1f kg × %d", load, repetitions);
        keep(visit, exercise, new At(at.day(), Repetitions.maximum(load, repetitions)), said);
    }

    private void keep(Visit visit, String exercise, At at, String said) {
        making.maximum(visit, new MaximaService.New(exercise, at.day(), at.kilograms(), said, null));
    }
}
