package pemblar.formats.ask;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** Comma-separated values with a line of column names, columns in any order, empty for missing. */
final class Rows {
    private Rows() {}

    /** One row; each refusal names line and column. */
    static final class Row {
        private final CSVRecord record;
        private final Map<String, Integer> columns;
        private final long line;

        Row(CSVRecord record, Map<String, Integer> columns, long line) {
            this.record = record;
            this.columns = columns;
            this.line = line;
        }

        String place(String column) {
            return "line " + line + ", " + column;
        }

        /** Empty when there is no such column or nothing in it. */
        String text(String column) {
            Integer at = columns.get(column);
            return at == null || at >= record.size() ? "" : record.get(at).strip();
        }

        String required(String column, String what) {
            if (text(column).isEmpty()) throw new BadInput(place(column), "missing; give " + what);
            return text(column);
        }

        LocalDate day(String column) {
            return Fields.day(place(column), required(column, "a day such as 2027-03-01"));
        }

        /** NaN when empty. */
        double number(String column, double least, double most) {
            String text = text(column);
            return text.isEmpty() ? Double.NaN : number(column, text, least, most);
        }

        double requiredNumber(String column, String what, double least, double most) {
            return number(column, required(column, what), least, most);
        }

        private double number(String column, String text, double least, double most) {
            double value = Double.NaN;
            try {
                if (text.length() <= 40 && text.matches("[-+0-9.eE]+")) value = Double.parseDouble(text);
            } catch (NumberFormatException e) {
                // falls through to the one message below
            }
            if (!(value >= least && value <= most))
                throw new BadInput(
                        place(column),
                        "“" + (text.length() > 40 ? text.substring(0, 37) + "..." : text)
                                + "” is not possible; give a number from " + least + " to " + most);
            return value;
        }
    }

    /** @return the columns that are there */
    static Set<String> read(byte[] csv, List<String> known, List<String> needed, int most, Consumer<Row> each) {
        try (CSVParser parser = CSVFormat.DEFAULT
                .builder()
                .setTrim(true)
                .setIgnoreEmptyLines(true)
                .get()
                .parse(new StringReader(decoded(csv)))) {
            Iterator<CSVRecord> records = parser.iterator();
            if (!records.hasNext())
                throw new BadInput("line 1", "is empty; give the column names " + String.join(", ", known));
            Map<String, Integer> columns = columns(records.next(), known, needed);
            int count = 0;
            while (records.hasNext()) {
                CSVRecord record = records.next();
                long line = parser.getCurrentLineNumber() + (endsWithoutBreak(csv) && !records.hasNext() ? 1 : 0);
                if (++count > most)
                    throw new BadInput("line " + line, "more than " + most + " rows; give at most so many");
                if (record.size() > columns.size())
                    throw new BadInput(
                            "line " + line, record.size() + " values in " + columns.size() + " columns; give as many");
                each.accept(new Row(record, columns, line));
            }
            if (count == 0) throw new BadInput("line 2", "missing; give at least one row under the column names");
            return columns.keySet();
        } catch (IOException | UncheckedIOException | IllegalStateException e) {
            Throwable why = e instanceof UncheckedIOException ? e.getCause() : e;
            throw new BadInput(
                    "input", "is not CSV: " + String.valueOf(why.getMessage()).replaceAll("\\s+", " "));
        }
    }

    /** The reader counts line breaks that it has passed, so the last line without one counts one less. */
    private static boolean endsWithoutBreak(byte[] csv) {
        return csv.length > 0 && csv[csv.length - 1] != '\n' && csv[csv.length - 1] != '\r';
    }

    private static String decoded(byte[] csv) {
        try {
            String text = StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(csv))
                    .toString();
            return text.startsWith("\uFEFF") ? text.substring(1) : text;
        } catch (CharacterCodingException e) {
            throw new BadInput("input", "is not UTF-8 text; give comma-separated values in UTF-8");
        }
    }

    private static Map<String, Integer> columns(CSVRecord heading, List<String> known, List<String> needed) {
        Map<String, Integer> columns = new HashMap<>();
        for (int i = 0; i < heading.size(); i++) {
            String name = heading.get(i);
            if (!known.contains(name))
                throw new BadInput(
                        "line 1, " + (name.length() > 40 ? name.substring(0, 37) + "..." : name),
                        "is no column of this question; columns are " + String.join(", ", known));
            if (columns.put(name, i) != null)
                throw new BadInput("line 1, " + name, "stands twice; give each column once");
        }
        for (String name : needed)
            if (!columns.containsKey(name)) throw new BadInput("line 1, " + name, "missing; give a column " + name);
        return columns;
    }
}
