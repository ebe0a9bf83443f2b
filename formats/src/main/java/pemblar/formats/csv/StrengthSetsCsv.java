package pemblar.formats.csv;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import pemblar.formats.Reading.Problem;

/**
 * Reads sets of strength work: a heading with at least {@code day} and {@code exercise}, then a row a set, in the
 * columns that Pemblar writes: docs/formats/strength.md. A file with anything wrong in it is refused whole, with every
 * place that is.
 */
public final class StrengthSetsCsv {
    public static final int MOST_CHARACTERS = 1_000_000;
    private static final int MOST_ROWS = 20_000;
    private static final int MOST_PROBLEMS = 20;
    private static final double KILOGRAMS_PER_POUND = 0.45359237; // exact by definition
    private static final Set<String> COLUMNS = Set.of(
            "day",
            "session",
            "exercise",
            "kilograms",
            "pounds",
            "repetitions",
            "held_seconds",
            "in_reserve",
            "warm_up",
            "as_many_as_possible",
            "note");

    private final LocalDate latest;
    private final List<Problem> problems = new ArrayList<>();

    private StrengthSetsCsv(LocalDate latest) {
        this.latest = latest;
    }

    /**
     * A set.
     *
     * @param session its title; empty when the file names none
     * @param exercise in small letters
     * @param kilograms 0 is body mass alone
     * @param inReserve null when nobody said
     */
    public record Row(
            LocalDate day,
            String session,
            String exercise,
            double kilograms,
            int repetitions,
            int heldSeconds,
            Integer inReserve,
            boolean warmUp,
            boolean asManyAsPossible,
            String note) {}

    /** The sets in the order of the file, or every problem with its line; never both. */
    public record Reading(List<Row> rows, List<Problem> problems) {}

    /** @param latest the last day that can have been lifted on */
    public static Reading read(String text, LocalDate latest) {
        if (text.length() > MOST_CHARACTERS)
            return refused(
                    Problem.expected("file", "size", text.length() + " characters", "at most " + MOST_CHARACTERS));
        String sound = text.startsWith("\uFEFF") ? text.substring(1) : text;
        try (CSVParser parser = CSVFormat.DEFAULT
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .setTrim(true)
                .setIgnoreHeaderCase(true)
                .setIgnoreEmptyLines(true)
                .get()
                .parse(new StringReader(sound))) {
            return new StrengthSetsCsv(latest).read(parser);
        } catch (IOException | UncheckedIOException | IllegalStateException | IllegalArgumentException e) {
            return refused(
                    Problem.expected("file", "layout", String.valueOf(e.getMessage()), "comma-separated values"));
        }
    }

    private static Reading refused(Problem problem) {
        return new Reading(List.of(), List.of(problem));
    }

    private Reading read(CSVParser parser) {
        List<String> names = parser.getHeaderNames();
        List<String> unknown = names.stream()
                .filter(n -> !COLUMNS.contains(n.toLowerCase(Locale.ROOT)))
                .toList();
        if (!unknown.isEmpty())
            return refused(Problem.expected("line 1", "column", unknown.get(0), String.join(", ", sorted())));
        for (String needed : List.of("day", "exercise"))
            if (names.stream().noneMatch(needed::equalsIgnoreCase))
                return refused(Problem.expected("line 1", "heading", "without " + needed, "a column " + needed));
        List<Row> rows = new ArrayList<>();
        for (CSVRecord record : parser) {
            if (rows.size() == MOST_ROWS)
                return refused(Problem.expected(
                        "line " + record.getRecordNumber(), "rows", "more", "at most " + MOST_ROWS + " a file"));
            rows.add(row(record));
            if (problems.size() >= MOST_PROBLEMS) break;
        }
        return problems.isEmpty() ? new Reading(rows, List.of()) : new Reading(List.of(), List.copyOf(problems));
    }

    private static List<String> sorted() {
        return COLUMNS.stream().sorted().toList();
    }

    private Row row(CSVRecord r) {
        double pounds = number(r, "pounds", 0, 2200);
        double kilograms = number(r, "kilograms", 0, 999);
        return new Row(
                day(r),
                text(r, "session", 80),
                exercise(r),
                kilograms > 0 ? kilograms : pounds * KILOGRAMS_PER_POUND,
                (int) number(r, "repetitions", 0, 1000),
                (int) number(r, "held_seconds", 0, 3600),
                cell(r, "in_reserve").isEmpty() ? null : (Integer) (int) number(r, "in_reserve", 0, 10),
                yes(r, "warm_up"),
                yes(r, "as_many_as_possible"),
                text(r, "note", 300));
    }

    private static String cell(CSVRecord r, String name) {
        return r.isMapped(name) && r.isSet(name) ? r.get(name) : "";
    }

    private LocalDate day(CSVRecord r) {
        String found = cell(r, "day");
        try {
            LocalDate day = LocalDate.parse(found);
            if (!day.isBefore(LocalDate.of(1990, 1, 1)) && !day.isAfter(latest)) return day;
        } catch (DateTimeParseException e) {
            // said below
        }
        problem(r, "day", found, "a day such as 2026-11-27, from 1990 to " + latest);
        return latest;
    }

    private String exercise(CSVRecord r) {
        String found = cell(r, "exercise").toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
        if (found.isEmpty() || found.length() > 59) problem(r, "exercise", found, "a name of 1 to 59 characters");
        return found;
    }

    private String text(CSVRecord r, String name, int most) {
        String found = cell(r, name);
        if (found.length() > most) problem(r, name, found.length() + " characters", "at most " + most);
        return found.startsWith("'") && found.length() > 1 && "=+-@".indexOf(found.charAt(1)) >= 0
                ? found.substring(1) // as Pemblar writes what a spreadsheet would take for a formula
                : found;
    }

    private double number(CSVRecord r, String name, double least, double most) {
        String found = cell(r, name);
        if (found.isEmpty()) return 0;
        try {
            double value = Double.parseDouble(found);
            if (value >= least && value <= most) return value;
        } catch (NumberFormatException e) {
            // said below
        }
        problem(r, name, found, "a number from " + (int) least + " to " + (int) most);
        return 0;
    }

    private boolean yes(CSVRecord r, String name) {
        String found = cell(r, name).toLowerCase(Locale.ROOT);
        if (!Set.of("", "true", "false").contains(found)) problem(r, name, found, "true or false");
        return found.equals("true");
    }

    /** Lines count from 1, the heading is the first. */
    private void problem(CSVRecord r, String field, String found, String accepted) {
        problems.add(Problem.expected(
                "line " + (r.getRecordNumber() + 1), field, found.isEmpty() ? "empty" : "'" + found + "'", accepted));
    }
}
