package pemblar.app.athlete;

import java.util.List;
import pemblar.app.frame.Viewer;

/**
 * What one area keeps of an athlete whom a coach began before they came, handed to the record that they have. Theirs is
 * never written over: what both have stays as it is with the person, or is told.
 */
public interface Handover {
    /** What would come over and what would not, each in a sentence; empty when there is nothing. */
    List<String> preview(Athlete from, Athlete to);

    /** @param seasonToo the coach's season takes the place of the person's own */
    void hand(Athlete from, Athlete to, Viewer person, boolean seasonToo);
}
