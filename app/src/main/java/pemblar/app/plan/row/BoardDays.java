package pemblar.app.plan.row;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Map;
import pemblar.app.athlete.Athlete;
import pemblar.app.frame.page.Markup;
import pemblar.app.frame.page.Shown;
import pemblar.app.plan.row.BoardRow.Day;
import pemblar.app.plan.row.BoardRow.SlabView;
import pemblar.app.session.Slab;

/**
 * The days of the board with what lies on them, as elements, of which a board of a hundred days has thousands.
 *
 * @param noteDays how many notes there are of a day that has some
 */
public record BoardDays(Athlete athlete, LocalDate today, Map<LocalDate, Long> noteDays) {
    /** @param carried ids of sessions that a proposal has just brought here; null for none */
    public String of(BoardRow row, Collection<String> carried, Shown shown) {
        Markup text = new Markup();
        for (Day day : row.days()) new OneDay(text, day, carried, shown).write();
        return text.toString();
    }

    private LocalDate sharedUntil() {
        return athlete.draftsSeen() ? athlete.sharedUntil() : null;
    }

    private final class OneDay {
        private final Markup text;
        private final Day day;
        private final Collection<String> carried;
        private final Shown shown;
        private final String name;

        OneDay(Markup text, Day day, Collection<String> carried, Shown shown) {
            this.text = text;
            this.day = day;
            this.carried = carried;
            this.shown = shown;
            this.name = shown.day(day.date());
        }

        private String date() {
            return day.date().toString();
        }

        void write() {
            String look = ("day " + day.look(sharedUntil())).strip();
            text.begin("div").with("class", look).with("data-day", date()).inside();
            head();
            if (day.isEdge(sharedUntil())) edge();
            notes();
            text.begin("div").with("class", "slabs").with("data-day", date()).inside();
            for (SlabView view : day.slabs()) slab(view);
            text.close("div");
            if (day.isRest())
                text.begin("p").with("class", "rest").inside().words("rest").close("p");
            text.begin("p").with("class", "week-load");
            text.with("title", "Load in points of the seven days up to the end of " + name)
                    .inside();
            text.of("span", "7 d")
                    .words(" ")
                    .of("b", shown.whole(day.week()))
                    .words(" ")
                    .of("span", "points");
            text.close("p").close("div");
        }

        private void head() {
            text.begin("h3").with("tabindex", "0").with("class", "span-head").with("aria-label", name);
            text.with("data-first", date()).with("data-last", date()).with("data-name", name);
            if (!day.note().isEmpty()) text.with("data-note", day.note());
            text.with("data-gone", String.valueOf(day.unavailable())).inside();
            text.of("span", day.weekday()).words(" ");
            text.of("b", String.valueOf(day.date().getDayOfMonth()));
            if (day.today())
                text.begin("span").with("class", "sr").inside().words(" today").close("span");
            text.begin("button")
                    .with("type", "button")
                    .with("class", "quiet more")
                    .with("data-open", "day");
            text.with("aria-label", "Change " + name)
                    .inside()
                    .words("+")
                    .close("button")
                    .close("h3");
        }

        private void edge() {
            text.begin("button")
                    .with("type", "button")
                    .with("class", "shared-handle")
                    .with("data-day", date());
            text.with("aria-label", "Shared up to " + name + "; arrow keys move the line")
                    .inside();
            text.of("span", "shared").close("button");
        }

        private void notes() {
            Long count = noteDays.get(day.date());
            if (count != null) {
                note().begin("a").with("href", "/a/" + athlete.id() + "/notes?about=DAY&day=" + date());
                text.inside()
                        .words(count + (count == 1 ? " note" : " notes"))
                        .close("a")
                        .close("p");
            }
            if (!day.unavailable() && day.note().isEmpty()) return;
            note();
            if (day.unavailable()) text.of("b", "unavailable").words(" ");
            text.of("span", day.note()).close("p");
        }

        private Markup note() {
            return text.begin("p").with("class", "day-note").inside();
        }

        private void slab(SlabView view) {
            Slab s = view.slab();
            text.begin("article").with("class", ("slab " + view.look(today, carried)).strip());
            text.with("tabindex", "0").with("id", "slab-" + s.id());
            text.with("data-id", String.valueOf(s.id()))
                    .with("data-day", s.day().toString());
            text.with("data-movable", String.valueOf(s.done() == null));
            text.with("data-version", String.valueOf(s.version())).with("data-title", s.title());
            if (s.startMinute() != null) text.with("data-time", shown.timeOfDay(s.startMinute()));
            String draft = s.draft() ? ", a draft" : "";
            text.with("aria-label", s.title() + ", " + shown.day(s.day()) + draft)
                    .inside();
            text.begin("svg").with("viewBox", "0 0 100 30").with("preserveAspectRatio", "none");
            text.with("class", "silhouette").with("aria-hidden", "true").inside();
            view.draw(text);
            text.begin("line")
                    .with("x1", 0)
                    .with("y1", 29)
                    .with("x2", 100)
                    .with("y2", 29)
                    .end();
            text.close("svg");
            title(s);
            text.begin("p").with("class", "figures").inside();
            view.figures(text, shown, today);
            text.close("p");
            menu(s);
            text.close("article");
        }

        private void title(Slab s) {
            String page =
                    "/a/" + athlete.id() + "/sessions/" + s.id() + (s.sport().isLifted() ? "/floor" : "");
            text.begin("a")
                    .with("class", "title")
                    .with("href", page)
                    .with("tabindex", "-1")
                    .inside();
            text.words(s.title()).close("a");
        }

        private void menu(Slab s) {
            text.begin("details").with("class", "menu");
            text.with("hx-get", "/a/" + athlete.id() + "/board/menu/" + s.id());
            text.with("hx-trigger", "toggle once").with("hx-target", "find .menu-body");
            text.with("hx-swap", "outerHTML").inside();
            text.begin("summary").with("aria-label", "Change " + s.title()).inside();
            text.words("···").close("summary");
            text.begin("div")
                    .with("class", "menu-body")
                    .with("aria-busy", "true")
                    .inside();
            text.close("div").close("details");
        }
    }
}
