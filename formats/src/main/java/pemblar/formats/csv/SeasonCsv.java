package pemblar.formats.csv;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import pemblar.core.season.Block;

/** Writes a season's blocks, one to a row. Loads in points, hours with two digits; a dot for decimals. */
public final class SeasonCsv {
    private SeasonCsv() {}

    /** A block with what is planned and done in it. */
    public record Row(
            Block block, double plannedLoad, double plannedHours, double doneLoad, double doneHours, String events) {}

    public static String write(List<Row> rows) {
        StringBuilder text = new StringBuilder();
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader(
                        "first_day",
                        "last_day",
                        "days",
                        "phase",
                        "name",
                        "easy",
                        "pinned",
                        "target_load",
                        "target_hours",
                        "planned_load",
                        "planned_hours",
                        "done_load",
                        "done_hours",
                        "events")
                .get();
        try (CSVPrinter printer = new CSVPrinter(text, format)) {
            for (Row r : rows)
                printer.printRecord(
                        r.block().first(),
                        r.block().last(),
                        r.block().days(),
                        r.block().phase().name().toLowerCase(Locale.ROOT),
                        SheetText.harmless(r.block().name()),
                        r.block().easy(),
                        r.block().pinned(),
                        whole(r.block().targetLoad()),
                        hours(r.block().targetSeconds() / 3600.0),
                        whole(r.plannedLoad()),
                        hours(r.plannedHours()),
                        whole(r.doneLoad()),
                        hours(r.doneHours()),
                        SheetText.harmless(r.events()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    private static String whole(double value) {
        return String.valueOf(Math.round(value));
    }

    private static String hours(double value) {
        return String.format(Locale.ROOT, "%.2f", value);
    }
}
