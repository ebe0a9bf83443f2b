package pemblar.core.evidence;

import java.util.ArrayList;
import java.util.List;
import pemblar.core.evidence.Piece.Floor;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Pause;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;

/** The floor that a recording sets, as constant powers and as a table that a page reads without the recording. */
public final class Floors {
    private static final double FIRST_JOULES = 4000;
    private static final double STEP_JOULES = 2000;
    private static final int COUNT = 19;

    private Floors() {}

    /** Power as it counts, second by second; a pause is rest, a missing second is left out. Empty without power. */
    static List<Floor.Step> steps(Recording recording) {
        List<Floor.Step> steps = new ArrayList<>();
        Series watts = recording.channel(Channel.POWER).orElse(null);
        if (watts == null) return steps;
        List<Pause> pauses = recording.pauses();
        int next = 0;
        for (int i = 0; i < watts.size(); i++) {
            for (; next < pauses.size() && pauses.get(next).index() <= i; next++)
                if (pauses.get(next).seconds() > 0)
                    steps.add(new Floor.Step(0, pauses.get(next).seconds()));
            if (watts.isPresent(i)) steps.add(new Floor.Step(Math.max(0, watts.at(i)), 1));
        }
        return steps;
    }

    /** Lowest critical powers, W, for W' of 4, 6 .. 40 kJ; empty without power. */
    public static double[] table(Recording recording) {
        List<Floor.Step> steps = steps(recording);
        if (steps.isEmpty()) return new double[0];
        Floor floor = new Floor(steps);
        double[] table = new double[COUNT];
        for (int i = 0; i < COUNT; i++) table[i] = Methods.floor(floor, FIRST_JOULES + i * STEP_JOULES);
        return table;
    }

    /** Between the entries of a table; beyond its ends the nearest one. */
    static double at(List<Double> table, double joules) {
        double place = Math.max(0, Math.min(table.size() - 1.0, (joules - FIRST_JOULES) / STEP_JOULES));
        int below = Math.min(table.size() - 2, (int) place);
        return table.get(below) + (place - below) * (table.get(below + 1) - table.get(below));
    }

    static boolean isTable(List<Double> table) {
        return table.size() == COUNT;
    }
}
