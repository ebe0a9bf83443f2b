package pemblar.app.workout;

import java.util.List;
import pemblar.app.frame.page.Markup;
import pemblar.app.frame.page.Shown;

/** A folder of the library, its workouts written as elements. */
public record ShelfRows(String name, List<Shelf> shelves) {
    public String drawn(long athleteId, Shown shown) {
        Markup text = new Markup();
        for (Shelf shelf : shelves) row(text, shelf, athleteId, shown);
        return text.toString();
    }

    private static void row(Markup text, Shelf shelf, long athleteId, Shown shown) {
        String id = String.valueOf(shelf.kept().id());
        String title = shelf.kept().title();
        text.begin("li").with("data-put", id).with("data-title", title).inside();
        text.begin("a")
                .with("href", "/a/" + athleteId + "/workouts/design?id=" + id)
                .inside();
        text.begin("svg").with("viewBox", "0 0 240 60").with("preserveAspectRatio", "none");
        text.with("aria-hidden", "true").inside().written(shelf.drawn()).close("svg");
        text.of("strong", title)
                .words(" ")
                .of("span", takes(shelf, shown))
                .close("a")
                .words(" ");
        text.begin("button").with("type", "button").with("class", "link put-open");
        text.with("aria-label", "Put " + title + " on a day").inside();
        text.words("put on a day").close("button").close("li");
    }

    private static String takes(Shelf shelf, Shown shown) {
        if (shelf.seconds() == null) return "set the threshold it refers to for its figures";
        String load = shelf.load() == null ? "" : " · load " + shown.whole(shelf.load()) + " points";
        return shelf.kept().workout().sport().key() + " · " + shown.duration(shelf.seconds()) + load;
    }
}
