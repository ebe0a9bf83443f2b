package pemblar.app.session.done;

import java.util.Map;
import java.util.regex.Pattern;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import pemblar.app.frame.StoredForm;
import pemblar.app.session.Described;
import pemblar.core.schedule.Purpose;
import pemblar.core.strength.StrengthShorthand;
import pemblar.formats.json.WorkoutJson;

/** A session's workout, its drawing and its stretches can be read, and its plan is of a size that can be. */
@Configuration(proxyBeanMethods = false)
class SessionForm {
    private static final Pattern SILHOUETTE = Pattern.compile("(\\d{1,6}(,\\d{1,4}(\\.\\d{1,6})?){2}(;|$))*+");
    private static final double MOST_LOAD = 100_000;
    private static final int MOST_SECONDS = 864_000;

    @Bean
    StoredForm sessionRowForm() {
        return StoredForm.of("session", SessionForm::check);
    }

    private static void check(Map<String, String> row) {
        if (row.containsKey("structure")) WorkoutJson.read(row.get("structure"));
        if (row.containsKey("strength"))
            StrengthShorthand.read(row.get("strength")).workout().orElseThrow();
        if (row.containsKey("structure") && row.containsKey("strength"))
            throw new IllegalArgumentException("structure and strength are both there");
        if (row.containsKey("purpose")) Purpose.valueOf(row.get("purpose"));
        if (row.containsKey("stretches")) Described.stretches(row.get("stretches"));
        if (!SILHOUETTE.matcher(row.getOrDefault("planned_silhouette", "")).matches())
            throw new IllegalArgumentException("planned_silhouette is no drawing");
        within("planned_load", row, MOST_LOAD);
        within("planned_seconds", row, MOST_SECONDS);
    }

    private static void within(String column, Map<String, String> row, double most) {
        if (!row.containsKey(column)) return;
        double value = Double.parseDouble(row.get(column));
        if (!(value >= 0 && value < most)) throw new IllegalArgumentException(column + " must be 0 to " + (int) most);
    }
}
