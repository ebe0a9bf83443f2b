package pemblar.app.progress.range;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Map;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import pemblar.app.athlete.Pages;
import pemblar.app.frame.Visit;
import pemblar.app.frame.page.OneLook;
import pemblar.app.frame.page.Shown;
import pemblar.app.progress.range.RangeReader.Asked;
import pemblar.core.season.Block;

/** The figures behind the drawings of a range, as tables that are fetched when they are opened, and as files. */
@Controller
@RequestMapping("/a/{athleteId}/progress")
class RangeTablesController {
    private static final String BY_BLOCK = "block";
    private final Pages pages;
    private final RangeReader reader;
    private final Shown shown;

    RangeTablesController(Pages pages, RangeReader reader, Shown shown) {
        this.pages = pages;
        this.reader = reader;
        this.shown = shown;
    }

    @OneLook
    @GetMapping("/zones/table")
    String table(Visit visit, @RequestParam Map<String, String> typed, Model model) {
        Pages.Opened page = pages.open(model, visit, "progress");
        Asked asked = reader.asked(page, typed, model);
        RangeReader.Found found = reader.found(page, asked);
        RangeTables tables = new RangeTables(shown, page.today());
        boolean byBlock = BY_BLOCK.equals(typed.get("rows"));
        model.addAttribute("label", byBlock ? "Plan and done by block" : "By week");
        model.addAttribute(
                "table",
                byBlock
                        ? tables.blocks(found.blocks(), found.items())
                        : tables.weeks(found.weeks(), asked.measure().title(asked.sport())));
        return "progress/table :: table";
    }

    /** Week by week or block by block, for a spreadsheet. */
    @GetMapping("/zones.csv")
    ResponseEntity<byte[]> csv(Visit visit, @RequestParam Map<String, String> typed, Model model) {
        Pages.Opened page = pages.open(model, visit, "progress");
        Asked asked = reader.asked(page, typed, model);
        boolean byBlock = BY_BLOCK.equals(typed.get("rows"));
        LocalDate first = byBlock ? asked.from().minusDays(Block.LONGEST) : asked.from();
        LocalDate last = byBlock ? asked.to().plusDays(Block.LONGEST) : asked.to();
        RangeCsv csv =
                new RangeCsv(reader.items(page.athlete(), first, last), page.today(), asked.sport(), asked.measure());
        String body = byBlock ? csv.blocks(reader.within(page, asked)) : csv.weeks(asked.from(), asked.to());
        String name = (byBlock ? "blocks-" : "weeks-") + asked.from() + "-" + asked.to() + ".csv";
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("text/csv;charset=UTF-8"))
                .header("Content-Disposition", "attachment; filename=\"" + name + "\"")
                .body(body.getBytes(StandardCharsets.UTF_8));
    }
}
