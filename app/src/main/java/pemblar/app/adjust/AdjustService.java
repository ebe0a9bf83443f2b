package pemblar.app.adjust;

import java.time.InstantSource;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.adjust.limit.LimitStore;
import pemblar.app.adjust.limit.Limits;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.athlete.CoachingService;
import pemblar.app.frame.Secret;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.app.load.TrendService;
import pemblar.app.load.TrendService.Trend;
import pemblar.app.note.About;
import pemblar.app.note.NoteService;
import pemblar.app.planner.SeasonChanges;
import pemblar.app.season.SeasonSettings;
import pemblar.app.session.Slab;
import pemblar.app.session.change.AdjustedSessions;
import pemblar.app.session.reading.SessionService;
import pemblar.app.undo.UndoService;
import pemblar.core.adjust.Adjusting;
import pemblar.core.adjust.Broken;
import pemblar.core.adjust.Change;
import pemblar.core.adjust.Effect;
import pemblar.core.adjust.Proposal;
import pemblar.core.adjust.Situation;
import pemblar.core.adjust.Trigger;
import pemblar.core.adjust.WhatIf;
import tools.jackson.databind.json.JsonMapper;

/**
 * What the plan could answer, taking it, leaving it, and what became of it. A proposal is made from the situation as it
 * is now, so it is never stale.
 */
@Service
public class AdjustService {
    private static final int DAYS_AHEAD = 180;
    private static final int LONGEST_REASON = 300;
    private static final int DAYS_LEFT = 14;
    private static final String TOOK = "Took a proposal: ";
    private final Situations situations;
    private final TrendService trends;
    private final SessionService sessions;
    private final AdjustedSessions adjusted;
    private final SeasonChanges season;
    private final AthleteService athletes;
    private final UndoService undo;
    private final LimitStore limits;
    private final CoachingService coachings;
    private final NoteService notes;
    private final AnswerStore answers;
    private final RecentAnswers recent;
    private final InstantSource clock;

    AdjustService(
            Situations situations,
            TrendService trends,
            SessionService sessions,
            AdjustedSessions adjusted,
            SeasonChanges season,
            AthleteService athletes,
            UndoService undo,
            LimitStore limits,
            CoachingService coachings,
            NoteService notes,
            AnswerStore answers,
            RecentAnswers recent,
            InstantSource clock) {
        this.recent = recent;
        this.limits = limits;
        this.notes = notes;
        this.coachings = coachings;
        this.situations = situations;
        this.trends = trends;
        this.sessions = sessions;
        this.adjusted = adjusted;
        this.season = season;
        this.athletes = athletes;
        this.undo = undo;
        this.answers = answers;
        this.clock = clock;
    }

    /**
     * @param triggers what happened, also what no proposal answers @param morning which morning the effects are about,
     *     in words
     */
    public record Open(
            List<Shown> proposals,
            List<Trigger> triggers,
            Situation situation,
            Map<String, Slab> slabs,
            String morning,
            Set<Broken> already) {
        /** Where the rest is, when the first stands alone. */
        public String look() {
            return proposals.size() > 1 ? "Look at it, and " + (proposals.size() - 1) + " more" : "Look at it";
        }

        /** Why nothing is proposed, where nothing is. */
        public String nothing() {
            if (triggers.isEmpty()) return "Nothing happened that the plan would have to answer to.";
            LocalDate today = situation.today();
            boolean free = situation.ahead().stream()
                    .noneMatch(p -> p.day().equals(today) || p.hard() && p.day().equals(today.plusDays(1)));
            if (free && triggers.stream().allMatch(t -> t.kind() == Trigger.Kind.BODY))
                return "Today is free and tomorrow holds nothing hard, which is all that mornings like these "
                        + "ask for. Look again after tomorrow’s check-in.";
            return "Nothing is proposed beyond what was answered already: what is planned stands.";
        }
    }

    /** What is open for an athlete whom the caller has already asked for: proposals that nobody has left. */
    @Transactional(readOnly = true)
    public Open open(Athlete athlete, Trend trend) {
        Situation situation = situations.of(athlete, trend);
        Adjusting.Answer answer = recent.of(situation);
        Map<String, Slab> slabs = slabs(athlete, trend.today());
        LocalDate since = trend.today().minusDays(DAYS_LEFT);
        Set<String> left = answers.fingerprints(athlete.id(), AnswerStore.Kind.LEFT, since);
        String morning = morning(situation);
        Told told = new Told(answer, slabs, situation);
        List<Shown> all = new ArrayList<>();
        for (Proposal p : answer.proposals()) {
            String fingerprint = fingerprint(p);
            if (!left.contains(fingerprint)) all.add(told.shown(all.size() + 1, fingerprint, p));
        }
        return new Open(all, answer.triggers(), situation, slabs, morning, answer.broken());
    }

    /** What proposals are put into words with. */
    private record Told(Adjusting.Answer answer, Map<String, Slab> slabs, Situation situation) {
        Shown shown(int number, String fingerprint, Proposal p) {
            String unmade =
                    p.trigger() != Trigger.Kind.AWAY || situation.nextAim().isEmpty()
                            ? ""
                            : Words.unmade(
                                    Adjusting.beyond(situation, p.changes()),
                                    p,
                                    answer.leave().chronic());
            return new Shown(
                    number,
                    fingerprint,
                    Words.title(p.changes(), slabs),
                    p.changes().stream().map(c -> Words.of(c, slabs)).toList(),
                    Words.price(p.effect(), answer.leave(), morning(situation)) + unmade,
                    Words.broken(p, answer.broken()),
                    p,
                    answer.leave());
        }
    }

    public static String morning(Situation s) {
        LocalDate aim = Words.aim(s);
        return aim == null ? "after the last planned session" : "on the morning of the A event, " + Words.day(aim);
    }

    private Map<String, Slab> slabs(Athlete athlete, LocalDate today) {
        Map<String, Slab> all = new HashMap<>();
        for (Slab slab : sessions.between(athlete, today.minusDays(Situations.DAYS_BEHIND), today.plusDays(DAYS_AHEAD)))
            all.put(String.valueOf(slab.id()), slab);
        return all;
    }

    private static String fingerprint(Proposal p) {
        return Secret.hash(p.trigger() + p.changes().toString());
    }

    /** What a question would do, without any consequence. */
    public Proposal asked(Open open, WhatIf question) {
        return Adjusting.preview(open.situation(), Trigger.Kind.EVENT, question.changes(open.situation()));
    }

    /** The same, ready to be drawn like a proposal. */
    public Shown asked(Open open, WhatIf question, String title) {
        Proposal answer = asked(open, question);
        Effect leave = Adjusting.preview(open.situation(), Trigger.Kind.EVENT, List.of())
                .effect();
        return new Shown(
                0,
                "",
                title,
                answer.changes().stream().map(c -> Words.of(c, open.slabs())).toList(),
                Words.price(answer.effect(), leave, morning(open, question)),
                Words.broken(answer, open.already()),
                answer,
                leave);
    }

    /** Which morning the figures of a question are about: an A event that moves has one as it is and one moved. */
    public static String morning(Open open, WhatIf question) {
        LocalDate aim = Words.aim(open.situation());
        LocalDate moved = question.aimAfter(open.situation()).orElse(null);
        if (aim == null || moved == null || aim.equals(moved)) return open.morning();
        return "on the morning of the A event (" + Words.day(moved) + " instead of " + Words.day(aim) + ")";
    }

    /** The same proposal with only some of its changes. */
    public Proposal preview(Open open, Shown shown, Set<Integer> on) {
        return Adjusting.preview(open.situation(), shown.proposal().trigger(), chosen(shown, on));
    }

    public static List<Change> chosen(Shown shown, Set<Integer> on) {
        List<Change> all = shown.proposal().changes();
        List<Change> chosen = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) if (on == null || on.contains(i)) chosen.add(all.get(i));
        return chosen;
    }

    /** @throws IllegalArgumentException when the situation has changed so that it is no longer proposed */
    private Shown require(Athlete athlete, String fingerprint) {
        return open(athlete, trends.of(athlete)).proposals().stream()
                .filter(p -> p.fingerprint().equals(fingerprint))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(
                        "Something changed meanwhile, and this is no longer proposed. Here is what is proposed now."));
    }

    /** Takes a proposal, or the part of it that is switched on, as one step. @return what to say */
    @Transactional
    public String take(Visit visit, String fingerprint, Set<Integer> on) {
        return "Taken: " + apply(visit, fingerprint, on, AnswerStore.Kind.TAKEN).title() + ".";
    }

    /**
     * Takes it along to the board, to be changed there: one step as well, which one undo takes back.
     *
     * @return the sessions that it touched, and the first day
     */
    @Transactional
    public Carried carry(Visit visit, String fingerprint, Set<Integer> on) {
        Shown shown = apply(visit, fingerprint, on, AnswerStore.Kind.CARRIED);
        List<Change> changes = chosen(shown, on);
        List<String> touched =
                changes.stream().flatMap(c -> c.touched().stream()).toList();
        LocalDate first = changes.stream()
                .flatMap(c -> c.landsOn().stream())
                .min(LocalDate::compareTo)
                .orElse(null);
        return new Carried(shown.title(), touched, first);
    }

    /** @param first null when nothing lands on a day */
    public record Carried(String title, List<String> sessions, LocalDate first) {}

    private Shown apply(Visit visit, String fingerprint, Set<Integer> on, AnswerStore.Kind kind) {
        Athlete athlete = athletes.require(visit);
        Shown shown = require(athlete, fingerprint);
        refuseUnlessDecides(athlete, visit.viewer(), shown);
        List<Change> changes = chosen(shown, on);
        if (changes.isEmpty())
            throw new IllegalArgumentException("Nothing is switched on, which is the same as leaving it.");
        String label = TOOK + shown.title() + ".";
        answer(athlete, visit.viewer(), new Answering(shown, kind, ""), changes); // rests on the plan as it was
        undo.asOne(visit, label, () -> {
            adjusted.apply(visit, changes, label);
            season.apply(new SeasonChanges.Asking(visit, null, false), changes);
        });
        return shown;
    }

    /** A coach puts a proposal before the athlete, who may take it from then on. */
    @Transactional
    public String suggest(Visit visit, String fingerprint, String word) {
        if (word.length() > LONGEST_REASON)
            throw new IllegalArgumentException("Word: enter at most " + LONGEST_REASON + " characters.");
        Athlete athlete = athletes.require(visit);
        if (isOwn(visit))
            throw new IllegalArgumentException("This is the coach’s to do: take the proposal, or ask the coach.");
        Shown shown = require(athlete, fingerprint);
        notes.write(
                visit,
                new About.OfAthlete(),
                "I suggest this proposal: " + shown.title() + ". " + shown.why() + " " + shown.price()
                        + (word.isBlank() ? "" : "\n\n" + word.strip()));
        answer(
                athlete,
                visit.viewer(),
                new Answering(shown, AnswerStore.Kind.SUGGESTED, word.strip()),
                shown.proposal().changes());
        return "Suggested: it stands before the athlete as a note, and can be taken from now on.";
    }

    private void refuseUnlessDecides(Athlete athlete, Viewer viewer, Shown shown) {
        if (!isOwn(new Visit(athlete.id(), viewer))) return;
        boolean coached = coachings.ofAthlete(athlete.id()).stream().anyMatch(c -> c.stands() && c.plans());
        Limits.Decides decides = limits.decides(athlete.id());
        if (!coached || decides == Limits.Decides.ATHLETE) return;
        if (decides == Limits.Decides.COACH)
            throw new IllegalArgumentException(
                    "Your coach decides about proposals: write a note, or choose under “Limits” who decides.");
        if (!isSuggested(athlete, shown))
            throw new IllegalArgumentException("Your coach has not suggested this one yet: ask the coach, or choose "
                    + "under “Limits” who decides.");
    }

    private boolean isSuggested(Athlete athlete, Shown shown) {
        LocalDate since = athlete.dayOf(clock.instant()).minusDays(DAYS_LEFT);
        return answers.fingerprints(athlete.id(), AnswerStore.Kind.SUGGESTED, since)
                .contains(shown.fingerprint());
    }

    /** Whether it is a coach who looks, who may put proposals before the athlete. */
    @Transactional(readOnly = true)
    public boolean isCoaching(Visit visit) {
        return !isOwn(visit);
    }

    private boolean isOwn(Visit visit) {
        return athletes.own(visit.viewer())
                .filter(id -> id == visit.athleteId())
                .isPresent();
    }

    /** Whether it is the athlete who asks, and there is a coach to be asked. */
    @Transactional(readOnly = true)
    public boolean hasCoach(Visit visit) {
        return isOwn(visit) && coachings.ofAthlete(visit.athleteId()).stream().anyMatch(c -> c.stands());
    }

    /** Takes the latest change back, within a day. */
    @Transactional
    public String undo(Visit visit) {
        String said = undo.undo(visit).orElse("There is nothing to take back.");
        if (said.startsWith("Taken back: " + TOOK)) answers.forgetTaken(visit); // nothing could be learnt from it
        return said;
    }

    @Transactional
    public String leave(Visit visit, String fingerprint, String reason) {
        if (reason.length() > LONGEST_REASON)
            throw new IllegalArgumentException("Reason: enter at most " + LONGEST_REASON + " characters.");
        Athlete athlete = athletes.require(visit);
        Shown shown = require(athlete, fingerprint);
        answer(
                athlete,
                visit.viewer(),
                new Answering(shown, AnswerStore.Kind.LEFT, reason.strip()),
                shown.proposal().changes());
        return "Left as it is.";
    }

    /** Puts a proposal before the coach as a note, which is answered in its thread; it stays open. */
    @Transactional
    public String ask(Visit visit, String fingerprint, String word) {
        if (word.length() > LONGEST_REASON)
            throw new IllegalArgumentException("Word: enter at most " + LONGEST_REASON + " characters.");
        Athlete athlete = athletes.require(visit);
        if (coachings.ofAthlete(visit.athleteId()).stream().noneMatch(c -> c.stands()))
            throw new IllegalArgumentException("No coach has access to this training, so there is nobody to ask.");
        Shown shown = require(athlete, fingerprint);
        notes.write(
                visit,
                new About.OfAthlete(),
                "Shall I take this proposal? " + shown.title() + ". " + shown.why() + " " + shown.price()
                        + (word.isBlank() ? "" : "\n\n" + word.strip()));
        answer(
                athlete,
                visit.viewer(),
                new Answering(shown, AnswerStore.Kind.ASKED, word.strip()),
                shown.proposal().changes());
        return "Asked. The answer comes as a note; until then the proposal stays open.";
    }

    private record Answering(Shown shown, AnswerStore.Kind kind, String reason) {}

    /** @param changes those that were taken, or would have been */
    private void answer(Athlete athlete, Viewer viewer, Answering given, List<Change> changes) {
        Situation situation = situations.of(athlete, trends.of(athlete));
        String effect = JsonMapper.shared().writeValueAsString(Learning.effect(given.shown(), situation, changes));
        answers.keep(
                athlete,
                viewer,
                new AnswerStore.Given(given.shown(), given.kind(), given.reason(), effect),
                clock.instant());
    }

    /** What was answered, the latest first, with what came of it a week later where that is over. */
    @Transactional(readOnly = true)
    public Learning answered(Athlete athlete, Trend trend) {
        return Learning.of(answers.latest(athlete.id(), trend));
    }

    /** Marks days as away with their reason, in one step; what falls in and the return are then proposed. */
    @Transactional
    public void away(Visit visit, SeasonSettings.Away away) {
        season.away(new SeasonChanges.Asking(visit, null, false), away);
    }
}
