package pemblar.app.athlete;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Once;
import pemblar.app.frame.Viewer;
import pemblar.app.frame.Visit;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Sex;

/** Decides who sees which athlete: the person, and coaches whom the person accepted. Every feature asks here. */
@Service
public class AthleteService {
    /** Zones by region and place, as people know them, and UTC. */
    public static final SortedSet<String> ZONES = zones();

    private final AthleteRepository athletes;
    private final CoachingRepository coachings;

    AthleteService(AthleteRepository athletes, CoachingRepository coachings) {
        this.athletes = athletes;
        this.coachings = coachings;
    }

    /** @throws NotFoundException when there is no such athlete for this person */
    @Transactional(readOnly = true)
    public Athlete require(Visit visit) {
        return seen(visit).athlete();
    }

    /** An athlete as a person sees one. @param byCoach the person is a coach whom the athlete accepted */
    record Sight(Athlete athlete, boolean byCoach) {}

    /** @throws NotFoundException when there is no such athlete for this person */
    @Transactional(readOnly = true)
    Sight seen(Visit visit) {
        return Once.of(
                "athlete",
                List.of(visit),
                () -> athletes.findWithRole(visit.athleteId(), visit.viewer().accountId())
                        .map(seen -> new Sight(seen.toAthlete(), seen.plans() != null))
                        .orElseThrow(() -> new NotFoundException("athlete")));
    }

    /** For jobs, which act for a person who was checked when they were queued; without drafts. */
    @Transactional(readOnly = true)
    public Athlete forJob(long athleteId) {
        return athletes.findById(athleteId)
                .map(row -> row.toAthlete(false))
                .orElseThrow(() -> new NotFoundException("athlete"));
    }

    @Transactional(readOnly = true)
    public List<Athlete> roster(Viewer viewer) {
        return athletes.findAllWithRole(viewer.accountId()).stream()
                .map(AthleteRepository.Seen::toAthlete)
                .toList();
    }

    @Transactional(readOnly = true)
    public Optional<Long> own(Viewer viewer) {
        return athletes.findOwn(viewer.accountId());
    }

    /** Accounts of the coaches whom this person's own athlete accepted. */
    @Transactional(readOnly = true)
    public List<Long> coachesOf(Viewer viewer) {
        return coachings.coachesOf(viewer.accountId());
    }

    /** The athlete that belongs to an account; an unknown time zone becomes UTC. */
    @Transactional
    public Athlete create(Viewer viewer, List<Sport> sports, String zone) {
        return athletes.save(new AthleteRow(viewer.accountId(), viewer.name(), sports, Sex.NOT_GIVEN, zone(zone)))
                .toAthlete(false);
    }

    /** An athlete whom a coach awaits: nobody's own yet. */
    @Transactional
    public Athlete await(String name, Sport sport, String zone) {
        return athletes.save(new AthleteRow(null, name, List.of(sport), Sex.NOT_GIVEN, zone(zone)))
                .toAthlete(true);
    }

    /** Others whose recordings are kept for an athlete, by name. */
    @Transactional(readOnly = true)
    public List<Athlete> keptFor(Athlete athlete) {
        return athletes.findKeptBy(athlete.id()).stream()
                .map(row -> row.toAthlete(false))
                .toList();
    }

    /** Somebody else whose recordings are kept for an athlete; not for one who is kept themselves. */
    @Transactional
    public Athlete keep(Athlete athlete, String name, Sport sport) {
        if (athlete.keptBy() != null) throw new NotFoundException("athlete");
        AthleteRow row = new AthleteRow(null, name, List.of(sport), Sex.NOT_GIVEN, athlete.zoneOn(LocalDate.MAX));
        row.keptBy = athlete.id();
        return athletes.save(row).toAthlete(false);
    }

    /** With all that is theirs. @throws NotFoundException when this is nobody who is kept for the athlete */
    @Transactional
    public void dropKept(Athlete athlete, long keptId) {
        athletes.delete(athletes.findById(keptId)
                .filter(row -> row.keptBy != null && row.keptBy == athlete.id())
                .orElseThrow(() -> new NotFoundException("athlete")));
    }

    /** The others who were kept for one are kept for another. */
    @Transactional
    public void moveKept(Athlete from, Athlete to) {
        athletes.findKeptBy(from.id()).forEach(row -> row.keptBy = to.id());
    }

    /** The awaited one has come, and has no record of their own. */
    @Transactional
    public void claim(long athleteId, Viewer person) {
        AthleteRow row = awaited(athleteId);
        row.accountId = person.accountId();
        row.name = person.name();
    }

    /** Forgets an athlete who never came, or who came with a record of their own. */
    @Transactional
    public void dropAwaited(long athleteId) {
        athletes.delete(awaited(athleteId));
    }

    private AthleteRow awaited(long athleteId) {
        return athletes.findById(athleteId)
                .filter(row -> row.accountId == null)
                .orElseThrow(() -> new NotFoundException("athlete"));
    }

    /** What the athlete trains, the first one first. */
    @Transactional
    public void setSports(Visit visit, List<Sport> sports) {
        if (sports.isEmpty()) throw new IllegalArgumentException("Sports: choose at least one.");
        athletes.findSeen(visit.athleteId(), visit.viewer().accountId())
                        .orElseThrow(() -> new NotFoundException("athlete"))
                        .sports =
                AthleteRow.text(sports.stream().distinct().toList());
    }

    /** Days from this one on are lived in another zone; those before keep theirs. */
    @Transactional
    public void moveTo(Visit visit, String zone, LocalDate from) {
        if (!ZONES.contains(zone)) throw new IllegalArgumentException("Time zone: choose one of the list.");
        AthleteRow row = athletes.findSeen(visit.athleteId(), visit.viewer().accountId())
                .orElseThrow(() -> new NotFoundException("athlete"));
        row.zonesSince = LivedZones.read(row.timeZone, row.zonesSince)
                .with(ZoneId.of(zone), from)
                .text();
    }

    @Transactional
    public void setSex(Visit visit, Sex sex) {
        athletes.findSeen(visit.athleteId(), visit.viewer().accountId())
                .orElseThrow(() -> new NotFoundException("athlete"))
                .sex = sex;
    }

    /** What a coach plans up to this day is shared at once. */
    @Transactional
    public void setSharedUntil(Visit visit, LocalDate day) {
        athletes.findSeen(visit.athleteId(), visit.viewer().accountId())
                .orElseThrow(() -> new NotFoundException("athlete"))
                .sharedUntil = day;
    }

    /** The same when a change is taken back; null for no such day. */
    @Transactional
    public void putSharedUntil(long athleteId, LocalDate day) {
        athletes.findById(athleteId).ifPresent(row -> row.sharedUntil = day);
    }

    /** Load per day that the athlete was used to before the first session; it begins the load trend. */
    @Transactional
    public void setStartLoad(Visit visit, double loadPerDay) {
        if (!(loadPerDay >= 0 && loadPerDay <= 500))
            throw new IllegalArgumentException("loadPerDay must be in 0..500, was " + loadPerDay);
        athletes.findSeen(visit.athleteId(), visit.viewer().accountId())
                .orElseThrow(() -> new NotFoundException("athlete"))
                .startChronic = loadPerDay;
    }

    private static SortedSet<String> zones() {
        SortedSet<String> zones = new TreeSet<>();
        for (String id : ZoneId.getAvailableZoneIds())
            if (id.matches("(Africa|America|Antarctica|Asia|Atlantic|Australia|Europe|Indian|Pacific)/.+"))
                zones.add(id);
        zones.add("UTC");
        return Collections.unmodifiableSortedSet(zones);
    }

    private static ZoneId zone(String zone) {
        try {
            return ZoneId.of(zone);
        } catch (DateTimeException e) {
            return ZoneOffset.UTC;
        }
    }
}
