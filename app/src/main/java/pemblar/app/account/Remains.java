package pemblar.app.account;

import java.util.ArrayList;
import java.util.List;

/**
 * What is left of a person in all tables, in the order in which it goes. The one place that knows the tables of every
 * area: that nothing is forgotten is shown by a test that looks for the person in each of them.
 */
final class Remains {
    static final String NOBODY = "somebody who left";

    /** Athletes whose pages carry the person's name: their own, and those that they coach or coached. */
    private static final String SEEN =
            "(select id from athlete where account_id = :account union select athlete_id from"
                    + " coaching where coach_account_id = :account)";

    /** Pages that were begun for somebody who has not come, and that nobody else looks after. */
    private static final String ALONE = "(select a.id from athlete a join coaching c on c.athlete_id = a.id where"
            + " a.account_id is null and c.coach_account_id = :account and not exists (select 1 from coaching o where"
            + " o.athlete_id = a.id and o.coach_account_id <> :account))";

    /** Who may have been written to about the person. */
    private static final String WRITTEN_TO =
            "(select email from account where id in (select account_id from athlete" + " where id in " + SEEN
                    + " union select coach_account_id from coaching where athlete_id in " + SEEN + "))";

    private static final List<String> SIGNED = List.of(
            "session.changed_by",
            "season.changed_by",
            "recording.load_by",
            "checkin.entered_by",
            "strength_set.entered_by",
            "strength_maximum.entered_by",
            "what_if.kept_by",
            "athlete_about.changed_by",
            "report_word.author",
            "note.author");

    static final List<String> STATEMENTS = statements();

    private Remains() {}

    private static List<String> statements() {
        List<String> all = new ArrayList<>();
        for (String signed : SIGNED) {
            String[] column = signed.split("\\.");
            all.add("update " + column[0] + " set " + column[1] + " = :nobody where " + column[1]
                    + " = :name and athlete_id in " + SEEN);
        }
        all.addAll(List.of(
                "update recording_edit set made_by = :nobody where made_by = :name and recording_id in (select id from"
                        + " recording where athlete_id in " + SEEN + ")",
                "delete from plan_news where author = :name and athlete_id in " + SEEN,
                "delete from undo_entry where athlete_id in " + SEEN + " and position(:name in before_state::text) > 0",
                "update morning_state set dirty = true where athlete_id in " + SEEN,
                // what others answered to their notes stays
                "update note set answers_id = null where answers_id in (select id from note where author_id ="
                        + " :account)",
                "update zone_set set scheme_id = null where scheme_id in (select id from zone_scheme where account_id ="
                        + " :account)",
                "delete from invitation where lower(email) = :email",
                "delete from mail where recipient = :email or position(:email in body) > 0 or recipient in "
                        + WRITTEN_TO + " and position(:name in subject || body) > 0",
                "delete from rate_limit where position(:email in key) > 0",
                "delete from job_failure where position(:email in reason) > 0 or position(:name in reason) > 0",
                "delete from athlete where id in " + ALONE,
                "delete from athlete where account_id = :account",
                "delete from account where id = :account"));
        return List.copyOf(all);
    }
}
