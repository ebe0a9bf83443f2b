package pemblar.app.plan;

import java.util.List;
import java.util.function.Function;
import pemblar.app.frame.page.Markup;
import pemblar.app.workout.Shelved;

/** Workouts that can be put on a day, as choices of a list. */
public record Offered(List<Shelved> workouts) {
    /** By their titles, and whose they are. */
    public String byTitle() {
        return choices(w -> w.title() + (w.isOwn() ? "" : w.id() < 0 ? " (ships)" : " (coach)"));
    }

    /** By their titles, and where they lie. */
    public String inFolders() {
        return choices(w -> w.folder().isEmpty() ? w.title() : w.title() + ", " + w.folder());
    }

    private String choices(Function<Shelved, String> words) {
        Markup list = new Markup();
        for (Shelved workout : workouts)
            list.begin("option")
                    .with("value", String.valueOf(workout.id()))
                    .inside()
                    .words(words.apply(workout))
                    .close("option");
        return list.toString();
    }
}
