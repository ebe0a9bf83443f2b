package pemblar.app.hour;

import java.util.ArrayList;
import java.util.List;
import pemblar.app.bench.Screen;
import pemblar.app.frame.page.Shown;
import pemblar.core.workout.Element.Step;
import pemblar.core.workout.SharedClock;
import pemblar.core.workout.ShorthandText;
import pemblar.core.workout.Workout;

/**
 * The coach's page of an hour, all texts ready.
 *
 * @param head what is on: the step, or how long until it begins
 * @param left of the step, with what that is
 * @param open whether the step waits for the coach
 * @param riders who has joined; {@code absent} names the others, empty when there are none
 */
public record HourView(
        boolean begun,
        boolean over,
        String head,
        String number,
        String left,
        String leftWords,
        String next,
        boolean open,
        List<Line> riders,
        String riding,
        String absent) {

    /**
     * One of the group.
     *
     * @param state in a word; {@code mark} is its class
     * @param place of the live value on the gauge; null without a target
     */
    public record Line(
            long athleteId,
            String name,
            String state,
            String mark,
            String target,
            String live,
            Double place,
            String off,
            String bpm,
            String reserve,
            double fill,
            Long session) {
        /** Where the mark begins in a gauge of 100. */
        public double markX() {
            return 100 * place - 1;
        }

        /** How far the reserve fills a gauge of 100. */
        public double fillWidth() {
            return 100 * fill;
        }
    }

    static HourView of(Hour hour, HourService.Clock clock, List<HourService.Rider> riders) {
        SharedClock.At at = clock.at();
        SharedClock steps = clock.lead().clock();
        boolean begun = clock.until() == 0;
        boolean open = !at.over() && at.length() == SharedClock.OPEN;
        List<Line> lines = new ArrayList<>();
        List<String> absent = new ArrayList<>();
        for (HourService.Rider rider : riders)
            if (rider.session() == null && rider.screen() == null)
                absent.add(rider.athlete().name());
            else lines.add(line(rider, begun));
        long riding = lines.stream().filter(l -> l.mark().equals("rides")).count();
        return new HourView(
                begun,
                at.over(),
                at.over() ? "The hour is over." : text(hour, steps.step(at.part())),
                at.over() ? "" : "step " + (at.part() + 1) + " of " + steps.parts(),
                left(clock, open),
                at.over() ? "" : !begun ? "until it begins" : open ? "waits for you" : "to go",
                at.over()
                        ? ""
                        : at.part() + 1 < steps.parts() ? text(hour, steps.step(at.part() + 1)) : "then it is done",
                open,
                lines,
                riding + " of " + riders.size() + (begun ? " under way" : " ready"),
                String.join(", ", absent));
    }

    private static String left(HourService.Clock clock, boolean open) {
        if (clock.until() > 0)
            return Shown.clock(clock.until() / Math.max(1, clock.lead().speed()));
        return clock.at().over() || open
                ? "–"
                : Shown.clock(clock.at().length() - clock.at().elapsed());
    }

    private static String text(Hour hour, Step step) {
        Workout workout = hour.workout();
        return ShorthandText.of(new Workout(workout.sport(), workout.basis(), List.of(step)));
    }

    private static Line line(HourService.Rider rider, boolean begun) {
        Screen s = rider.screen();
        long id = rider.athlete().id();
        String name = rider.athlete().name();
        if (s == null) {
            return new Line(id, name, "ended", "done", "", "–", null, "", "–", "", 0, rider.session());
        }
        return new Line(
                id,
                name,
                s.finished() ? "ended" : s.paused() ? "away for a moment" : begun ? "under way" : "ready",
                s.finished() ? "done" : s.paused() ? "paused" : "rides",
                s.target(),
                s.live() + " " + s.unit(),
                s.paused() ? null : s.place(),
                s.paused() ? "" : off(s.warning()),
                s.bpm(),
                s.reserve() == null ? "" : s.reserve().now().replaceAll(" ·.*", ""),
                s.reserve() == null ? 0 : s.reserve().fill(),
                rider.session());
    }

    private static String off(String warning) {
        return warning.equals("ABOVE") ? "above" : warning.equals("BELOW") ? "below" : "on";
    }
}
