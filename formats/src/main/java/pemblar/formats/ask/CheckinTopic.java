package pemblar.formats.ask;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import pemblar.core.checkin.BandWords;
import pemblar.core.checkin.Bands;
import pemblar.core.checkin.Measure;

/** Morning values against the usual (computation, section 13). */
final class CheckinTopic implements Topic {
    private static final int MOST_DAYS = 1096;
    private static final List<String> SCALES = List.of("soreness", "mood", "stress", "energy");
    private static final Map<Measure, String> COLUMNS = new EnumMap<>(Map.of(
            Measure.RESTING_HEART_RATE,
            "restingHeartRate",
            Measure.VARIABILITY,
            "rmssd",
            Measure.SLEEP,
            "sleepMinutes"));
    private static final List<String> KNOWN = List.of(
            "day",
            "restingHeartRate",
            "rmssd",
            "sleepMinutes",
            "soreness",
            "mood",
            "stress",
            "energy",
            "bodyMass",
            "illness",
            "injury",
            "note");

    @Override
    public Map<String, Object> answer(byte[] input) {
        Map<Measure, TreeMap<LocalDate, Double>> values = new EnumMap<>(Measure.class);
        for (Measure measure : Measure.values()) values.put(measure, new TreeMap<>());
        Set<LocalDate> days = new HashSet<>();
        Set<String> columns = Rows.read(input, KNOWN, List.of("day"), MOST_DAYS, row -> read(row, values, days));
        LocalDate today = days.stream().max(LocalDate::compareTo).orElseThrow();
        if (days.stream().min(LocalDate::compareTo).orElseThrow().isBefore(today.minusYears(3)))
            throw new BadInput("day", "the days span more than 3 years; give at most 3 years");
        List<Map<String, Object>> statements = new ArrayList<>();
        for (Measure measure : Measure.values())
            if (columns.contains(COLUMNS.get(measure)))
                statements.add(statement(Bands.of(measure, values.get(measure), today)));
        return Answer.of("statements", statements);
    }

    private static void read(Rows.Row row, Map<Measure, TreeMap<LocalDate, Double>> values, Set<LocalDate> days) {
        LocalDate day = row.day("day");
        if (!days.add(day)) throw new BadInput(row.place("day"), day + " stands twice; give one row a day");
        put(values.get(Measure.RESTING_HEART_RATE), day, row.number("restingHeartRate", 25, 130));
        put(values.get(Measure.VARIABILITY), day, row.number("rmssd", 3, 300));
        put(values.get(Measure.SLEEP), day, row.number("sleepMinutes", 0, 1440));
        for (String scale : SCALES) row.number(scale, 1, 5);
        row.number("bodyMass", 20, 400);
    }

    private static void put(TreeMap<LocalDate, Double> values, LocalDate day, double value) {
        if (!Double.isNaN(value)) values.put(day, value);
    }

    private static Map<String, Object> statement(Bands bands) {
        boolean judged = bands.verdict() != Bands.Verdict.NO_VERDICT;
        return Answer.of(
                "quantity",
                bands.measure().key(),
                "verdict",
                bands.verdict().words(),
                "sharp",
                bands.sharp(),
                "direction",
                bands.direction(),
                "usual",
                judged ? Answer.figure(bands.usual()) : null,
                "sd",
                judged ? Answer.figure(bands.sd()) : null,
                "recent",
                judged ? Answer.figure(bands.recent()) : null,
                "missing",
                bands.missing(),
                "text",
                BandWords.of(bands));
    }
}
