package pemblar.app.review.lane;

import java.util.List;
import java.util.Map;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * How a person likes the lanes of a sport: kept as it is read, and nothing else. @param axis time or distance @param
 * overlays key of the lane that is drawn over another
 */
record LaneView(
        List<String> order,
        List<String> hidden,
        Map<String, Integer> heights,
        int smoothing,
        String axis,
        Map<String, String> overlays) {
    private static final int LONGEST = 6000;

    LaneView {
        order = order == null ? List.of() : List.copyOf(order);
        hidden = hidden == null ? List.of() : List.copyOf(hidden);
        heights = heights == null ? Map.of() : Map.copyOf(heights);
        overlays = overlays == null ? Map.of() : Map.copyOf(overlays);
        axis = "distance".equals(axis) ? "distance" : "time";
        smoothing = Math.max(1, Math.min(300, smoothing));
    }

    /** @throws IllegalArgumentException when it is not what the page sends */
    static LaneView read(String json) {
        if (json.length() > LONGEST) throw new IllegalArgumentException("The settings of the lanes are too long.");
        try {
            return JsonMapper.shared().readValue(json, LaneView.class);
        } catch (JacksonException e) {
            throw new IllegalArgumentException("The settings of the lanes could not be read.");
        }
    }

    String write() {
        return JsonMapper.shared().writeValueAsString(this);
    }
}
