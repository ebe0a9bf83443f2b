package pemblar.app.athlete;

import java.util.List;
import pemblar.app.frame.Viewer;

/** Groups, as far as what is shared with them goes; the coach's area keeps them. */
public interface Memberships {
    record Group(long id, String name) {}

    /** Groups that a person keeps. */
    List<Group> kept(Viewer viewer);

    /** Groups of present coaches in which a person's own athlete is. */
    List<Long> joined(Viewer viewer);

    /** Groups of present coaches in which an athlete is. */
    List<Long> groupsOf(long athleteId);

    /** Athletes of a group whom its coach may see now. */
    List<Athlete> members(long groupId, Viewer coach);
}
