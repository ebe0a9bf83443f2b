package pemblar.app.checkin;

import java.time.LocalDate;
import java.util.Map;
import pemblar.app.frame.page.Typed;
import pemblar.app.frame.page.Units;

/** A check-in as a form gives it: every field may be empty; a refusal names the field. */
final class Typing {
    private static final int LONGEST_WORDS = 100;
    private static final int LONGEST_NOTE = 1000;

    private Typing() {}

    static Checkin of(LocalDate day, Map<String, String> typed) {
        return new Checkin(
                day,
                number(typed, "restingHeartRate", "Resting heart rate", 25, 130),
                number(typed, "rmssd", "Variability", 3, 300),
                sleep(typed),
                scale(typed, "soreness", "Soreness"),
                scale(typed, "mood", "Mood"),
                scale(typed, "stress", "Stress"),
                scale(typed, "energy", "Energy"),
                bodyMass(typed),
                words(typed, "illness", "Illness", LONGEST_WORDS),
                words(typed, "injury", "Injury", LONGEST_WORDS),
                words(typed, "note", "Note", LONGEST_NOTE));
    }

    private static String text(Map<String, String> typed, String name) {
        return typed.getOrDefault(name, "").strip();
    }

    private static Double number(Map<String, String> typed, String name, String field, double least, double most) {
        return text(typed, name).isEmpty() ? null : (Double) Typed.number(field, text(typed, name), least, most);
    }

    private static Double bodyMass(Map<String, String> typed) {
        String mass = text(typed, "bodyMass");
        return mass.isEmpty() ? null : (Double) Units.mine().kilograms("Body mass", mass, 20, 400);
    }

    private static Integer scale(Map<String, String> typed, String name, String field) {
        return text(typed, name).isEmpty() ? null : (Integer) Typed.whole(field, text(typed, name), 1, 5);
    }

    /** 7:30, 7h30, 450 min, 7.5 h, or hours as a bare number up to 24. */
    private static Double sleep(Map<String, String> typed) {
        String text = text(typed, "sleep")
                .toLowerCase(java.util.Locale.ROOT)
                .replace(" ", "")
                .replace(',', '.');
        if (text.isEmpty()) return null;
        if (text.matches("\\d{1,2}:[0-5]\\d"))
            return checked(Double.parseDouble(text.split(":")[0]) * 60 + Double.parseDouble(text.split(":")[1]));
        if (text.matches("\\d{1,2}h[0-5]?\\d?(min)?")) {
            String[] parts = text.replace("min", "").split("h");
            return checked(Double.parseDouble(parts[0]) * 60 + (parts.length > 1 ? Double.parseDouble(parts[1]) : 0));
        }
        if (text.matches("\\d{1,4}min")) return checked(Double.parseDouble(text.replace("min", "")));
        if (text.matches("\\d{1,2}(\\.\\d{1,2})?h?")) return checked(60 * Double.parseDouble(text.replace("h", "")));
        throw new IllegalArgumentException(
                "Sleep: “" + typed.get("sleep") + "” is not understood; enter 7:30, 7h30, 450 min or 7.5.");
    }

    private static double checked(double minutes) {
        if (minutes > 1440) throw new IllegalArgumentException("Sleep: a day has 24 hours; enter less.");
        return minutes;
    }

    private static String words(Map<String, String> typed, String name, String field, int longest) {
        if (text(typed, name).length() > longest)
            throw new IllegalArgumentException(field + ": enter at most " + longest + " characters.");
        return text(typed, name);
    }
}
