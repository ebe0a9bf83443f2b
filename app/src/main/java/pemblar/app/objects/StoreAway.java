package pemblar.app.objects;

import org.springframework.dao.DataAccessResourceFailureException;

/** The store of objects does not answer, or not with what was put there: the data cannot be reached for the moment. */
public class StoreAway extends DataAccessResourceFailureException {
    private static final long serialVersionUID = 1;

    public StoreAway(String why) {
        super(why);
    }

    StoreAway(String why, Throwable cause) {
        super(why, cause);
    }
}
