package pemblar.app.evidence.profile;

import java.util.ArrayList;
import java.util.List;
import pemblar.app.evidence.profile.ProfileController.Row;
import pemblar.app.frame.page.Shown;
import pemblar.core.profile.PaceProfile;
import pemblar.core.profile.PaceProfile.Rung;
import pemblar.core.profile.ProfileBands;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Sex;
import pemblar.core.threshold.WorldBest;

/**
 * Best times over distances as rows of the profile's drawing.
 *
 * @param doubtable whether a threshold tells what was hardly all-out; without one nothing is said to be untested
 */
record PaceRows(Sport sport, Sex sex, boolean doubtable, Shown shown) {
    List<Row> of(List<Rung> now, List<Rung> before) {
        List<Row> rows = new ArrayList<>();
        for (int i = 0; i < now.size(); i++) {
            Rung rung = now.get(i);
            double worlds = WorldBest.seconds(sport, rung.metres(), sex);
            rows.add(new Row(
                    (int) rung.metres(),
                    distance(rung.metres(), shown),
                    words(rung),
                    words(before.get(i)),
                    at(rung),
                    at(before.get(i)),
                    rung.near() || !doubtable,
                    false,
                    PaceProfile.FLOORS.stream()
                            .map(f -> Shown.clock(worlds / f))
                            .toList()));
        }
        return rows;
    }

    static String distance(double metres, Shown shown) {
        return metres < 5000 ? Math.round(metres) + " m" : shown.kilometres(metres);
    }

    private String words(Rung rung) {
        return rung.seconds().isEmpty()
                ? Shown.NONE
                : Shown.clock(rung.seconds().getAsDouble()) + ", "
                        + Shown.speedFigure(
                                sport, rung.metres() / rung.seconds().getAsDouble()) + " "
                        + Shown.speedUnit(sport);
    }

    private static Double at(Rung rung) {
        return rung.seconds().isEmpty()
                ? null
                : (Double) Math.min(
                        1, ProfileBands.level(PaceProfile.FLOORS, rung.share()) / (PaceProfile.FLOORS.size() + 1));
    }
}
