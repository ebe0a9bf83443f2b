package pemblar.formats.csv;

import java.io.IOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;

/**
 * Writes the channels of a recording, a row for each second of the timer. A missing value is an empty cell, a dot is
 * for decimals, times are UTC.
 */
public final class ChannelsCsv {
    private ChannelsCsv() {}

    /** Columns: second, time, then each channel as {@code key [unit]}; a device's own field has no unit. */
    public static void write(Recording recording, Appendable out) throws IOException {
        List<String> header = new ArrayList<>(List.of("second", "time"));
        recording
                .channels()
                .keySet()
                .forEach(key -> header.add(SheetText.harmless(
                        Channel.ofKey(key).map(c -> key + " [" + c.unit() + "]").orElse(key))));
        CSVPrinter printer = new CSVPrinter(
                out,
                CSVFormat.RFC4180
                        .builder()
                        .setHeader(header.toArray(String[]::new))
                        .get());
        List<Series> columns = List.copyOf(recording.channels().values());
        Object[] row = new Object[columns.size() + 2];
        double paused = 0;
        int pause = 0;
        for (int i = 0; i < recording.seconds(); i++) {
            while (pause < recording.pauses().size()
                    && recording.pauses().get(pause).index() <= i)
                paused += recording.pauses().get(pause++).seconds();
            row[0] = i;
            row[1] = at(recording, i + paused);
            for (int c = 0; c < columns.size(); c++)
                row[c + 2] = columns.get(c).isPresent(i) ? number(columns.get(c).at(i)) : "";
            printer.printRecord(row);
        }
        printer.flush();
    }

    private static Instant at(Recording recording, double clockSeconds) {
        return recording.start().plusMillis(Math.round(clockSeconds * 1000));
    }

    /** As short as it can be without losing what a device measures. */
    private static String number(double value) {
        double rounded = Math.rint(value * 1e7) / 1e7;
        return rounded == Math.rint(rounded) && Math.abs(rounded) < 1e15
                ? String.valueOf((long) rounded)
                : java.math.BigDecimal.valueOf(rounded).stripTrailingZeros().toPlainString();
    }

    /** Rows of a table that the caller has filled; texts cannot become formulas. */
    public static String table(List<String> header, List<List<Object>> rows) {
        StringBuilder text = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(
                text,
                CSVFormat.RFC4180
                        .builder()
                        .setHeader(header.stream().map(SheetText::harmless).toArray(String[]::new))
                        .get())) {
            for (List<Object> row : rows)
                printer.printRecord(row.stream()
                        .map(c -> c instanceof Double d
                                ? Double.isNaN(d) ? "" : number(d)
                                : c instanceof String s ? SheetText.harmless(s) : c == null ? "" : c)
                        .toList());
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        return text.toString();
    }
}
