package pemblar.app.checkin;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * Reads check-ins from CSV (docs/formats/checkins.md): own columns, comma or semicolon, decimal point or comma, days in
 * three forms.
 */
final class CheckinCsv {
    private static final int MOST_ROWS = 20_000;
    private static final int MOST_PROBLEMS = 20;
    private static final Map<String, String> COLUMNS = columns();
    private static final List<DateTimeFormatter> DAYS = List.of(
            DateTimeFormatter.ISO_LOCAL_DATE,
            DateTimeFormatter.ofPattern("d.M.yyyy"),
            DateTimeFormatter.ofPattern("d/M/yyyy"));

    /** The mornings, or every problem with its line; never both. */
    record Reading(List<Checkin> checkins, List<String> problems) {}

    private CheckinCsv() {}

    private static Map<String, String> columns() {
        Map<String, String> columns = new LinkedHashMap<>();
        for (String name : List.of(
                "day",
                "restingHeartRate",
                "rmssd",
                "soreness",
                "mood",
                "stress",
                "energy",
                "bodyMass",
                "illness",
                "injury",
                "note")) columns.put(name, name);
        columns.put("sleepMinutes", "sleep");
        return columns;
    }

    static Reading read(byte[] bytes) {
        String text =
                new String(bytes, StandardCharsets.UTF_8).replace("\uFEFF", "").replace("\0", "");
        String heading = text.lines().findFirst().orElse("");
        boolean semicolon = heading.contains(";");
        try (CSVParser parser = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(semicolon ? ';' : ',')
                .setTrim(true)
                .setIgnoreEmptyLines(true)
                .get()
                .parse(new StringReader(text))) {
            return read(parser);
        } catch (IOException | UncheckedIOException | IllegalStateException e) {
            return refused("file: this is not CSV (" + e.getMessage() + "); the columns are "
                    + String.join(", ", COLUMNS.keySet()));
        }
    }

    private static Reading refused(String problem) {
        return new Reading(List.of(), List.of(problem));
    }

    private static Reading read(CSVParser parser) {
        Map<String, Integer> places = new HashMap<>();
        List<Checkin> checkins = new ArrayList<>();
        List<String> problems = new ArrayList<>();
        Set<LocalDate> days = new HashSet<>();
        for (CSVRecord record : parser) {
            if (places.isEmpty()) {
                for (int i = 0; i < record.size(); i++) places.put(record.get(i), i);
                if (!places.containsKey("day"))
                    return refused("line 1: the column day is missing; the columns are "
                            + String.join(", ", COLUMNS.keySet()));
                List<String> others = places.keySet().stream()
                        .filter(name -> !COLUMNS.containsKey(name))
                        .sorted()
                        .toList();
                if (!others.isEmpty())
                    return refused("line 1: " + String.join(", ", others) + " is no column of ours; the columns are "
                            + String.join(", ", COLUMNS.keySet()));
                continue;
            }
            if (checkins.size() + problems.size() >= MOST_ROWS)
                return refused("file: more than " + MOST_ROWS + " rows; import it in parts");
            try {
                checkins.add(row(record, places, days));
            } catch (IllegalArgumentException e) {
                problems.add("line " + parser.getCurrentLineNumber() + ", " + e.getMessage());
            }
            if (problems.size() >= MOST_PROBLEMS) break;
        }
        if (checkins.isEmpty() && problems.isEmpty()) return refused("file: there is no row under the column names");
        return problems.isEmpty() ? new Reading(checkins, List.of()) : new Reading(List.of(), problems);
    }

    private static Checkin row(CSVRecord record, Map<String, Integer> places, Set<LocalDate> days) {
        Map<String, String> typed = new HashMap<>();
        for (var column : COLUMNS.entrySet()) {
            Integer at = places.get(column.getKey());
            if (at != null && at < record.size()) typed.put(column.getValue(), record.get(at));
        }
        if (!typed.getOrDefault("sleep", "").isBlank())
            typed.put("sleep", typed.get("sleep").replaceAll("[.,]\\d+$", "") + "min");
        LocalDate day = day(typed.getOrDefault("day", ""));
        if (!days.add(day)) throw new IllegalArgumentException("day: " + day + " stands twice; one row a day");
        return Typing.of(day, typed);
    }

    private static LocalDate day(String text) {
        for (DateTimeFormatter form : DAYS) {
            try {
                return LocalDate.parse(text.strip(), form);
            } catch (DateTimeException e) {
                // the next form may fit
            }
        }
        throw new IllegalArgumentException(
                "day: “" + text + "” is not a day; write 2027-03-01, 1.3.2027 or 1/3/2027 (day first)");
    }
}
