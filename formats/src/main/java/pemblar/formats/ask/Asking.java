package pemblar.formats.ask;

import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.util.Map;
import java.util.TreeMap;
import tools.jackson.databind.json.JsonMapper;

/**
 * Answers one topic: JSON on standard output, or one line on standard error and exit code 2 (the input) or 1 (anything
 * else).
 */
public final class Asking {
    public static final int MOST_BYTES = 5_000_000;
    private static final int REFUSED = 2;
    private static final int FAILED = 1;
    private static final Map<String, Topic> TOPICS = new TreeMap<>(Map.of(
            "intervals",
            new IntervalsTopic(),
            "predict",
            new PredictTopic(),
            "checkin",
            new CheckinTopic(),
            "strength",
            new StrengthTopic(),
            "evidence",
            new EvidenceTopic(),
            "compare",
            new CompareTopic(),
            "aerobic",
            new AerobicTopic(),
            "season",
            new SeasonTopic(),
            "adjust",
            new AdjustTopic()));

    private Asking() {}

    /** @return the topics that can be asked, in order */
    public static java.util.Set<String> topics() {
        return java.util.Collections.unmodifiableSet(TOPICS.keySet());
    }

    /** @return the exit code */
    public static int run(String topic, InputStream in, PrintStream out, PrintStream err) {
        try {
            Topic asked = TOPICS.get(topic);
            if (asked == null)
                throw new BadInput("topic", topic + " is not known; ask one of " + String.join(", ", TOPICS.keySet()));
            byte[] input = in.readNBytes(MOST_BYTES + 1);
            if (input.length > MOST_BYTES) throw new BadInput("input", "more than 5 MB; give at most 5 MB");
            String answer = JsonMapper.builder().build().writeValueAsString(asked.answer(input));
            out.println(answer);
            return 0;
        } catch (BadInput e) {
            err.println(e.getMessage().replaceAll("\\s+", " "));
            return REFUSED;
        } catch (IOException | RuntimeException | OutOfMemoryError | StackOverflowError e) {
            err.println("ask " + topic + " failed: " + String.valueOf(e).replaceAll("\\s+", " "));
            return FAILED;
        }
    }
}
