package pemblar.app.archive.taking;

import org.springframework.dao.DataAccessException;

/** Why a row or a file of an archive is left out. */
final class LeftOut extends RuntimeException {
    private static final long serialVersionUID = 1;

    LeftOut(String why) {
        super(why);
    }

    /** The reason in few words. */
    static String why(RuntimeException e) {
        if (e instanceof DataAccessException access) {
            String message = String.valueOf(access.getMostSpecificCause().getMessage());
            return message.lines().findFirst().orElse("").replaceFirst("^ERROR: ", "");
        }
        return e.getMessage() == null ? "it cannot be read" : e.getMessage();
    }
}
