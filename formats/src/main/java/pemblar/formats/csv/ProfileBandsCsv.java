package pemblar.formats.csv;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import pemblar.core.profile.ProfileBands;
import pemblar.core.threshold.Sex;
import pemblar.formats.Reading.Problem;

/**
 * Reads reference bands: a heading {@code sex,seconds,<lowest band>,<band>...}, then a row for each sex and duration:
 * docs/formats/profile-bands.md.
 */
public final class ProfileBandsCsv {
    /** A file of bands is a few lines. */
    public static final int MOST_CHARACTERS = 20_000;

    private static final int FEWEST_BANDS = 2;
    private static final int MOST_BANDS = 9;
    private static final int LONGEST_NAME = 30;
    private final List<Problem> problems = new ArrayList<>();
    private final Map<Sex, TreeMap<Integer, List<Double>>> floors = new EnumMap<>(Sex.class);

    /** The bands, or every problem with its line; never both. */
    public record Reading(Optional<ProfileBands> bands, List<Problem> problems) {}

    private ProfileBandsCsv() {}

    public static Reading read(String text) {
        if (text.length() > MOST_CHARACTERS)
            return refused(
                    Problem.expected("file", "size", text.length() + " characters", "at most " + MOST_CHARACTERS));
        try (CSVParser parser = CSVFormat.DEFAULT
                .builder()
                .setTrim(true)
                .setIgnoreEmptyLines(true)
                .setCommentMarker('#')
                .get()
                .parse(new StringReader(text))) {
            return new ProfileBandsCsv().read(parser.getRecords());
        } catch (IOException | UncheckedIOException | IllegalStateException e) {
            return refused(
                    Problem.expected("file", "layout", String.valueOf(e.getMessage()), "comma-separated values"));
        }
    }

    private static Reading refused(Problem problem) {
        return new Reading(Optional.empty(), List.of(problem));
    }

    private Reading read(List<CSVRecord> records) {
        if (records.isEmpty())
            return refused(
                    Problem.expected("line 1", "heading", "nothing", "sex,seconds, and the names of 2 to 9 bands"));
        List<String> heading = records.get(0).toList();
        List<String> names = heading.size() < 2 ? List.of() : heading.subList(2, heading.size());
        boolean sound = names.size() >= FEWEST_BANDS
                && names.size() <= MOST_BANDS
                && names.stream().noneMatch(n -> n.isBlank() || n.length() > LONGEST_NAME);
        if (!sound || !heading.get(0).equals("sex") || !heading.get(1).equals("seconds"))
            return refused(Problem.expected(
                    "line 1",
                    "heading",
                    String.join(",", heading),
                    "sex,seconds, and the names of 2 to 9 bands of at most 30 characters"));
        for (CSVRecord row : records.subList(1, records.size())) row(row, names.size());
        for (Sex sex : List.of(Sex.FEMALE, Sex.MALE))
            for (int seconds : ProfileBands.SECONDS)
                if (!floors.getOrDefault(sex, new TreeMap<>()).containsKey(seconds))
                    problem(
                            "file",
                            "rows",
                            "no row " + word(sex) + "," + seconds,
                            "one for each sex and each of " + ProfileBands.SECONDS + " s");
        return problems.isEmpty()
                ? new Reading(Optional.of(new ProfileBands(names, floors)), List.of())
                : new Reading(Optional.empty(), List.copyOf(problems));
    }

    /** The first band has no floor: its cell stays empty or 0. */
    private void row(CSVRecord row, int bands) {
        String place = "row " + (row.getRecordNumber() - 1);
        if (row.size() != bands + 2) {
            problem(place, "cells", String.valueOf(row.size()), String.valueOf(bands + 2));
            return;
        }
        Sex sex = row.get(0).equals("women") ? Sex.FEMALE : row.get(0).equals("men") ? Sex.MALE : null;
        Integer seconds = ProfileBands.SECONDS.stream()
                .filter(s -> String.valueOf(s).equals(row.get(1)))
                .findFirst()
                .orElse(null);
        if (sex == null) problem(place, "sex", row.get(0), "women or men");
        if (seconds == null) problem(place, "seconds", row.get(1), "one of " + ProfileBands.SECONDS);
        List<Double> values = values(row, place);
        if (sex != null && seconds != null && values.size() == bands - 1)
            floors.computeIfAbsent(sex, s -> new TreeMap<>()).put(seconds, values);
    }

    private List<Double> values(CSVRecord row, String place) {
        List<Double> values = new ArrayList<>();
        double before = 0;
        for (int i = 3; i < row.size(); i++) {
            double value = number(row.get(i));
            if (!(value > before && value < 50))
                problem(place, "floor " + (i - 2), row.get(i), "W/kg, rising along the row, below 50");
            else values.add(value);
            before = Double.isNaN(value) ? before : value;
        }
        return values;
    }

    private static double number(String text) {
        return text.matches("\\d{1,2}(\\.\\d{1,3})?") ? Double.parseDouble(text) : Double.NaN;
    }

    private static String word(Sex sex) {
        return sex == Sex.FEMALE ? "women" : "men";
    }

    private void problem(String place, String field, String found, String expected) {
        problems.add(Problem.expected(place, field, found, expected));
    }
}
