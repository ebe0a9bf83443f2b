package pemblar.app.template;

import pemblar.app.session.change.ScheduleService.Chosen;
import pemblar.app.session.change.ScheduleService.Placed;
import pemblar.core.design.Design;
import pemblar.core.strength.StrengthShorthand;
import pemblar.core.strength.StrengthText;
import pemblar.core.strength.StrengthWorkout;
import pemblar.core.workout.ShorthandText;
import pemblar.core.workout.Workout;
import pemblar.formats.json.WorkoutJson;

/** One session of a template, as it is stored: the workout as JSON, or strength as its shorthand. */
record Entry(
        int offset,
        Integer startMinute,
        String title,
        String workout,
        String strength,
        Long workoutId,
        Integer version) {
    static Entry of(int offset, Placed placed) {
        Chosen chosen = placed.chosen();
        return chosen.design().answer(new Design.Cases<>() {
            @Override
            public Entry endurance(Workout workout) {
                String json = WorkoutJson.write(workout);
                return new Entry(
                        offset, placed.startMinute(), chosen.title(), json, null, chosen.workoutId(), chosen.version());
            }

            @Override
            public Entry strength(StrengthWorkout workout) {
                String text = StrengthText.of(workout);
                return new Entry(offset, placed.startMinute(), chosen.title(), null, text, null, null);
            }
        });
    }

    Entry on(int otherOffset, Integer otherMinute) {
        return new Entry(otherOffset, otherMinute, title, workout, strength, workoutId, version);
    }

    /** Its steps or exercises as one types them. */
    String steps() {
        return strength != null ? strength : ShorthandText.of(WorkoutJson.read(workout));
    }

    Design design() {
        return strength == null
                ? new Design.Endurance(WorkoutJson.read(workout))
                : new Design.Strength(StrengthShorthand.read(strength).workout().orElseThrow());
    }
}
