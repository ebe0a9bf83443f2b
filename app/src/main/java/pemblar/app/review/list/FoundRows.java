package pemblar.app.review.list;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import pemblar.app.frame.page.Markup;
import pemblar.app.frame.page.Shown;
import pemblar.app.session.Described;
import pemblar.app.session.Slab;
import pemblar.app.session.reading.DoubtService.Doubt;
import pemblar.app.session.reading.SessionSearch.Found;

/**
 * The rows of the list of sessions, as elements.
 *
 * @param doubtful what is in doubt of some of them, by their ids
 */
public record FoundRows(long athleteId, LocalDate today, List<Found> found, Map<Long, Doubt> doubtful) {
    private static final String SET_BY_HAND = "SET";

    public boolean isEmpty() {
        return found.isEmpty();
    }

    public String drawn(Shown shown) {
        Markup text = new Markup();
        for (Found f : found) new Row(text, f.slab(), shown).write(f.described());
        return text.toString();
    }

    private final class Row {
        private final Markup text;
        private final Slab s;
        private final Shown shown;

        Row(Markup text, Slab s, Shown shown) {
            this.text = text;
            this.s = s;
            this.shown = shown;
        }

        void write(Described described) {
            text.begin("tr").inside();
            text.begin("td").inside().begin("input").with("type", "checkbox").with("name", "chosen");
            text.with("value", String.valueOf(s.id()));
            text.with("aria-label", "Choose " + s.title() + ", " + shown.day(s.day()))
                    .end()
                    .close("td");
            String year =
                    s.day().getYear() == today.getYear() ? "" : " " + s.day().getYear();
            cell("nowrap", shown.day(s.day()) + year);
            title();
            figures();
            words(described);
            text.close("tr");
        }

        private void cell(String kind, String words) {
            text.begin("td").with("class", kind).inside().words(words).close("td");
        }

        private void title() {
            text.begin("td").inside().begin("a").with("href", "/a/" + athleteId + "/sessions/" + s.id());
            text.inside().words(s.title()).close("a").words(" ");
            if (!s.done().recorded())
                text.begin("span")
                        .with("class", "soft")
                        .inside()
                        .words("no recording")
                        .close("span");
            Doubt doubt = doubtful.get(s.id());
            if (doubt != null) doubt(doubt);
            text.close("td");
        }

        private void doubt(Doubt doubt) {
            text.begin("small")
                    .with("class", "doubt")
                    .inside()
                    .words(doubt.sentence())
                    .close("small")
                    .words(" ");
            text.begin("button").with("class", "link small").with("form", "mend-" + s.id());
            text.with("aria-label", "Mend " + s.title() + ", " + shown.day(s.day()))
                    .inside();
            text.words("Mend it").close("button");
        }

        private void figures() {
            Slab.Done done = s.done();
            cell("num", shown.duration(done.seconds()));
            cell("num", shown.kilometres(done.metres()));
            cell(
                    "num",
                    done.equivalentWatts() == null
                            ? shown.speed(s.sport(), done.meanSpeed())
                            : shown.whole(done.equivalentWatts()) + " W");
            cell("num", shown.whole(done.meanBpm()));
            cell("num", shown.percent(done.intensity()));
            text.begin("td").with("class", "num").inside().of("b", shown.whole(done.load()));
            if (SET_BY_HAND.equals(done.loadSource()))
                text.begin("span")
                        .with("title", "set by hand")
                        .inside()
                        .words("*")
                        .close("span");
            text.close("td");
        }

        private void words(Described described) {
            text.begin("td")
                    .with("class", "words small")
                    .inside()
                    .of("span", s.sport().key());
            for (String word :
                    List.of(described.kind(), described.equipment(), described.surface(), described.weather()))
                if (!word.isEmpty()) text.of("span", word);
            for (String tag : described.tags()) text.of("span", "#" + tag);
            text.close("td");
        }
    }
}
