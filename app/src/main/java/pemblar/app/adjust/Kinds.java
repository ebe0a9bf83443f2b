package pemblar.app.adjust;

import java.util.ArrayList;
import java.util.List;
import pemblar.core.adjust.Change;

/** Many changes in one line: how many of each kind. */
final class Kinds implements Change.Cases<Void> {
    private int dropped;
    private int moved;
    private int easier;
    private int shorter;
    private int longer;
    private int added;
    private int rests;
    private int blocks;
    private int events;

    private Kinds() {}

    static String of(List<Change> changes) {
        Kinds kinds = new Kinds();
        changes.forEach(c -> c.answer(kinds));
        return kinds.words();
    }

    private String words() {
        List<String> all = new ArrayList<>();
        part(all, rests, "rest on ", rests == 1 ? " day" : " days");
        part(all, dropped, "drop ", dropped == 1 ? " session" : " sessions");
        part(all, moved, "move ", "");
        part(all, easier, "make ", " easy");
        part(all, shorter, "shorten ", "");
        part(all, longer, "lengthen ", "");
        part(all, added, "add ", "");
        part(all, blocks, "set ", blocks == 1 ? " block anew" : " blocks anew");
        part(all, events, "move ", events == 1 ? " event" : " events");
        String words = String.join(", ", all);
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    private static void part(List<String> all, int count, String before, String after) {
        if (count > 0) all.add(before + count + after);
    }

    @Override
    public Void move(Change.Move change) {
        moved++;
        return null;
    }

    @Override
    public Void scale(Change.Scale change) {
        if (change.factor() <= 1) shorter++;
        else longer++;
        return null;
    }

    @Override
    public Void swap(Change.Swap change) {
        easier++;
        return null;
    }

    @Override
    public Void drop(Change.Drop change) {
        dropped++;
        return null;
    }

    @Override
    public Void add(Change.Add change) {
        added++;
        return null;
    }

    @Override
    public Void rest(Change.Rest change) {
        rests++;
        return null;
    }

    @Override
    public Void retarget(Change.Retarget change) {
        blocks++;
        return null;
    }

    @Override
    public Void moveEvent(Change.MoveEvent change) {
        events++;
        return null;
    }
}
