package pemblar.app.sharing;

import java.util.List;

/** Something that the daily mail tells of; whoever keeps it knows what is new. */
public interface DayLines {
    /** Gives what waits and marks it as told, in the transaction of the caller, who asks who wants no mail. */
    List<Mailed> take(int most);
}
