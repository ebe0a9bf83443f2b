package pemblar.formats.fit;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import pemblar.core.recording.Channel;

/** The fields that a file defines itself, and the channel names they become. */
final class DeveloperFields {
    private static final int MOST = 64;
    private final Map<Integer, Described> byKey = new HashMap<>();
    private final Set<String> names = new HashSet<>();

    record Described(String channel, BaseType type, double scale, double offset) {}

    void describe(FitMessage message) {
        long index = message.whole(0);
        long number = message.whole(1);
        String name = message.text(3).strip();
        if (index < 0 || number < 0 || name.isEmpty() || byKey.size() >= MOST) return;
        BaseType type = BaseType.ofCode((int) Math.max(0, message.whole(2)));
        double scale = message.number(6);
        double offset = message.number(7);
        Described described = new Described(
                channelName(name, number), type, scale > 0 ? scale : 1, Double.isNaN(offset) ? 0 : offset);
        byKey.put(key((int) index, (int) number), described);
    }

    /** A name that equals a native channel's, or one given before, gets the field's number. */
    private String channelName(String name, long number) {
        boolean taken = names.contains(name);
        for (Channel channel : Channel.values()) taken |= channel.isNamedLike(name);
        String channel = taken ? name + " " + number : name;
        names.add(channel);
        return channel;
    }

    /** The description of a field, or null when the file gives none. */
    Described of(FitDefinition.DeveloperField field) {
        return byKey.get(key(field.developerIndex(), field.number()));
    }

    private static int key(int index, int number) {
        return index << 8 | number;
    }
}
