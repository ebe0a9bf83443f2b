package pemblar.app.ribbon;

import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.PageFrame;
import pemblar.app.frame.Visit;
import pemblar.app.load.TrendService;
import pemblar.app.load.TrendService.Trend;
import pemblar.app.note.NoteService;
import pemblar.app.season.PlanService;
import pemblar.app.season.SeasonEvent;
import pemblar.app.undo.UndoService;
import pemblar.core.season.Block;

/** The frame of every athlete's page: the season as a strip, unread notes, and what can be taken back. */
@Component
class RibbonFrame implements PageFrame {
    private final PlanService plan;
    private final TrendService trends;
    private final UndoService undo;
    private final NoteService notes;
    private final FrameQuestions questions;

    RibbonFrame(PlanService plan, TrendService trends, UndoService undo, NoteService notes, FrameQuestions questions) {
        this.questions = questions;
        this.plan = plan;
        this.trends = trends;
        this.undo = undo;
        this.notes = notes;
    }

    @Override
    public void draw(Model model, Around around) {
        Athlete athlete = around.athlete();
        questions.ask(around);
        Trend trend = trends.of(athlete);
        List<SeasonEvent> events = plan.events(athlete);
        List<Block> blocks = plan.inSight(athlete, trend.today());
        model.addAttribute("ribbon", new RibbonDrawing(blocks, trend).draw(events, around.from(), around.to()));
        model.addAttribute("unreadNotes", notes.unread(athlete, around.viewer()));
        model.addAttribute(
                "undo",
                undo.latestChange(new Visit(athlete.id(), around.viewer())).orElse(null));
    }
}
