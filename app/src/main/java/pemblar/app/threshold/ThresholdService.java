package pemblar.app.threshold;

import java.time.Duration;
import java.time.InstantSource;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Once;
import pemblar.app.frame.Visit;
import pemblar.core.load.SessionSummary.Part;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.DatedValues;
import pemblar.core.threshold.DatedValues.Dated;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Sex;
import pemblar.core.zone.DatedZones;
import pemblar.core.zone.Zones;
import pemblar.formats.json.ZoneSchemeJson;
import tools.jackson.databind.json.JsonMapper;

/**
 * An athlete's dated values and zone sets. A change is announced with exactly the days and parts that it touches, and
 * can be taken back for a day.
 */
@Service
public class ThresholdService {
    private static final LocalDate EARLIEST = LocalDate.of(1950, 1, 1);
    private static final LocalDate END_OF_TIME = LocalDate.of(9999, 1, 1);
    private static final Duration KEPT = Duration.ofDays(1);
    private static final JsonMapper JSON = JsonMapper.shared();
    private final DatedValueRepository values;
    private final ZoneSetRepository zoneSets;
    private final ValueChangeRepository changes;
    private final AthleteService athletes;
    private final PowerSpeeds speeds;
    private final ApplicationEventPublisher events;
    private final InstantSource clock;

    ThresholdService(
            DatedValueRepository values,
            ZoneSetRepository zoneSets,
            ValueChangeRepository changes,
            AthleteService athletes,
            PowerSpeeds speeds,
            ApplicationEventPublisher events,
            InstantSource clock) {
        this.values = values;
        this.zoneSets = zoneSets;
        this.changes = changes;
        this.athletes = athletes;
        this.speeds = speeds;
        this.events = events;
        this.clock = clock;
    }

    /** What a value or set was on its day before a change; amount and scheme are null when there was none. */
    record Before(
            Quantity quantity, String from, Double amount, Sport sport, Measure measure, String scheme, Long schemeId) {
        static Before value(Quantity quantity, LocalDate from, Double amount) {
            return new Before(quantity, from.toString(), amount, null, null, null, null);
        }
    }

    record State(List<Before> before) {}

    /** For an athlete whom the caller has already asked for. */
    @Transactional(readOnly = true)
    public DatedValues of(Athlete athlete) {
        return Once.of(
                "values",
                List.of(athlete),
                () -> new DatedValues(
                        values.findByAthleteIdOrderByValidFrom(athlete.id()).stream()
                                .map(DatedValueRow::toCore)
                                .toList(),
                        athlete.sex()));
    }

    /** Values and zone sets together. For an athlete whom the caller has already asked for. */
    @Transactional(readOnly = true)
    public DatedZones zonesOf(Athlete athlete) {
        return new DatedZones(
                of(athlete),
                zoneSets.findByAthleteIdOrderByValidFrom(athlete.id()).stream()
                        .map(ZoneSetRow::toCore)
                        .toList(),
                speeds.of(athlete));
    }

    /** The same for a whole roster, from two queries, in its order. */
    @Transactional(readOnly = true)
    public Map<Athlete, DatedZones> zonesOf(List<Athlete> roster) {
        List<Long> ids = roster.stream().map(Athlete::id).toList();
        Map<Long, List<DatedValueRow>> rows =
                values.findByAthleteIdInOrderByValidFrom(ids).stream().collect(Collectors.groupingBy(r -> r.athleteId));
        Map<Long, List<ZoneSetRow>> sets = zoneSets.findByAthleteIdInOrderByValidFrom(ids).stream()
                .collect(Collectors.groupingBy(r -> r.athleteId));
        Map<Athlete, DatedZones> all = new java.util.LinkedHashMap<>();
        for (Athlete athlete : roster) {
            DatedValues own = new DatedValues(
                    rows.getOrDefault(athlete.id(), List.of()).stream()
                            .map(DatedValueRow::toCore)
                            .toList(),
                    athlete.sex());
            all.put(
                    athlete,
                    new DatedZones(
                            own,
                            sets.getOrDefault(athlete.id(), List.of()).stream()
                                    .map(ZoneSetRow::toCore)
                                    .toList(),
                            speeds.of(athlete)));
        }
        return all;
    }

    /** @throws IllegalArgumentException with a sentence for the person when the value is impossible */
    @Transactional
    public void set(Visit visit, Quantity quantity, LocalDate from, double value) {
        adopt(visit, from, Map.of(quantity, value), "");
    }

    /**
     * Makes values hold from a day on, all or none.
     *
     * @param label what the foot of the page says of it; empty keeps no way back, as when a whole history is loaded
     * @throws IllegalArgumentException with a sentence for the person when a value is impossible
     */
    @Transactional
    public void adopt(Visit visit, LocalDate from, Map<Quantity, Double> adopted, String label) {
        Athlete athlete = athletes.require(visit);
        checkDay(from);
        List<Before> before = new ArrayList<>();
        adopted.forEach((quantity, value) -> {
            Dated dated = new Dated(quantity, from, value);
            Optional<DatedValueRow> row =
                    values.findByAthleteIdAndQuantityAndValidFrom(visit.athleteId(), quantity, from);
            before.add(Before.value(quantity, from, row.map(r -> r.amount).orElse(null)));
            row.ifPresentOrElse(r -> r.amount = value, () -> values.save(new DatedValueRow(visit.athleteId(), dated)));
        });
        if (!label.isEmpty()) remember(visit, label, before);
        announce(athlete, from, adopted.keySet());
    }

    private static void checkDay(LocalDate from) {
        if (from.isBefore(EARLIEST) || !from.isBefore(END_OF_TIME))
            throw new IllegalArgumentException("Date: choose a day after 1950.");
    }

    @Transactional
    public void remove(Visit visit, Quantity quantity, LocalDate from, String label) {
        Athlete athlete = athletes.require(visit);
        DatedValueRow row = values.findByAthleteIdAndQuantityAndValidFrom(visit.athleteId(), quantity, from)
                .orElseThrow(() -> new NotFoundException("value"));
        remember(visit, label, List.of(Before.value(quantity, from, row.amount)));
        DatedValues whole = of(athlete);
        values.delete(row);
        announce(visit.athleteId(), whole.spanOf(quantity, from), sports(quantity), Part.restingOn(quantity));
    }

    @Transactional
    public void setSex(Visit visit, Sex sex) {
        athletes.setSex(visit, sex);
        events.publishEvent(new ThresholdsChanged(
                visit.athleteId(), EARLIEST, END_OF_TIME, EnumSet.allOf(Sport.class), EnumSet.of(Part.HEART_RATE)));
    }

    /** What the athlete trains, the first one first; past sessions keep theirs. */
    @Transactional
    public void setSports(Visit visit, List<Sport> sports) {
        athletes.setSports(visit, sports);
    }

    /** Takes up a scheme for a sport from a day on. */
    @Transactional
    public void takeUp(Visit visit, DatedZones.Dated set, Long schemeId, String label) {
        Athlete athlete = athletes.require(visit);
        checkDay(set.from());
        put(visit, athlete, new SetChange(set.key(), set.from(), ZoneSchemeJson.write(set.scheme()), schemeId), label);
    }

    /** Takes a zone set away: what held before it holds on. */
    @Transactional
    public void dropZoneSet(Visit visit, Zones.Key key, LocalDate from, String label) {
        put(visit, athletes.require(visit), new SetChange(key, from, null, null), label);
    }

    /** What a zone set becomes on a day. @param scheme as JSON; null takes it away */
    private record SetChange(Zones.Key key, LocalDate from, String scheme, Long schemeId) {}

    private Optional<ZoneSetRow> zoneSet(long athleteId, Zones.Key key, LocalDate from) {
        return zoneSets.findByAthleteIdAndSportAndMeasureAndValidFrom(athleteId, key.sport(), key.measure(), from);
    }

    private void put(Visit visit, Athlete athlete, SetChange change, String label) {
        Zones.Key key = change.key();
        Optional<ZoneSetRow> row = zoneSet(athlete.id(), key, change.from());
        if (change.scheme() == null && row.isEmpty()) throw new NotFoundException("zone set");
        remember(
                visit,
                label,
                List.of(new Before(
                        null,
                        change.from().toString(),
                        null,
                        key.sport(),
                        key.measure(),
                        row.map(r -> r.scheme).orElse(null),
                        row.map(r -> r.schemeId).orElse(null))));
        replace(athlete, change);
    }

    private void replace(Athlete athlete, SetChange change) {
        Zones.Key key = change.key();
        Optional<ZoneSetRow> row = zoneSet(athlete.id(), key, change.from());
        if (change.scheme() == null) row.ifPresent(zoneSets::delete);
        else
            row.ifPresentOrElse(
                    r -> {
                        r.scheme = change.scheme();
                        r.schemeId = change.schemeId();
                    },
                    () -> zoneSets.save(new ZoneSetRow(
                            athlete.id(),
                            new DatedZones.Dated(key, change.from(), ZoneSchemeJson.read(change.scheme())),
                            change.schemeId())));
        announce(
                athlete.id(),
                zonesOf(athlete).spanOf(key, change.from()),
                EnumSet.of(key.sport()),
                EnumSet.of(part(key.measure())));
    }

    private static Part part(Measure measure) {
        return measure == Measure.POWER ? Part.POWER : measure == Measure.HEART_RATE ? Part.HEART_RATE : Part.SPEED;
    }

    /** What the foot of the thresholds pages offers to take back. */
    @Transactional(readOnly = true)
    public Optional<String> latestChange(Visit visit) {
        return latest(visit).map(row -> row.label);
    }

    private Optional<ValueChangeRow> latest(Visit visit) {
        return changes.latest(
                visit.athleteId(), visit.viewer().accountId(), clock.instant().minus(KEPT));
    }

    /** Takes the latest change of values or zones back. */
    @Transactional
    public Optional<String> undo(Visit visit) {
        Athlete athlete = athletes.require(visit);
        Optional<ValueChangeRow> change = latest(visit);
        change.ifPresent(row -> {
            for (Before before : JSON.readValue(row.beforeState, State.class).before()) restore(athlete, before);
            changes.delete(row);
        });
        return change.map(row -> "Taken back: " + row.label);
    }

    private void restore(Athlete athlete, Before before) {
        LocalDate from = LocalDate.parse(before.from());
        if (before.quantity() == null) {
            Zones.Key key = new Zones.Key(before.sport(), before.measure());
            replace(athlete, new SetChange(key, from, before.scheme(), before.schemeId()));
            return;
        }
        DatedValues whole = of(athlete);
        Optional<DatedValueRow> row =
                values.findByAthleteIdAndQuantityAndValidFrom(athlete.id(), before.quantity(), from);
        if (before.amount() == null) row.ifPresent(values::delete);
        else
            row.ifPresentOrElse(
                    r -> r.amount = before.amount(),
                    () -> values.save(
                            new DatedValueRow(athlete.id(), new Dated(before.quantity(), from, before.amount()))));
        announce(
                athlete.id(),
                whole.spanOf(before.quantity(), from),
                sports(before.quantity()),
                Part.restingOn(before.quantity()));
    }

    private void remember(Visit visit, String label, List<Before> before) {
        changes.save(new ValueChangeRow(
                visit.athleteId(),
                visit.viewer().accountId(),
                label,
                JSON.writeValueAsString(new State(before)),
                clock.instant()));
    }

    /**
     * One announcement for all quantities of an adoption that touch the same days and sports, so that a session is read
     * once.
     */
    private void announce(Athlete athlete, LocalDate from, Set<Quantity> quantities) {
        record Touched(DatedValues.Span span, Set<Sport> sports) {}
        DatedValues whole = of(athlete);
        Map<Touched, EnumSet<Part>> all = new java.util.LinkedHashMap<>();
        for (Quantity quantity : quantities)
            all.computeIfAbsent(
                            new Touched(whole.spanOf(quantity, from), sports(quantity)),
                            t -> EnumSet.noneOf(Part.class))
                    .addAll(Part.restingOn(quantity));
        all.forEach((touched, parts) -> announce(athlete.id(), touched.span(), touched.sports(), parts));
    }

    private static Set<Sport> sports(Quantity quantity) {
        Set<Sport> sports = EnumSet.allOf(Sport.class);
        sports.removeIf(sport -> !quantity.serves(sport));
        return sports;
    }

    private void announce(long athleteId, DatedValues.Span span, Set<Sport> sports, Set<Part> parts) {
        if (parts.isEmpty()) return; // nothing that is stored rests on it
        LocalDate begin = span.from().isBefore(EARLIEST) ? EARLIEST : span.from();
        events.publishEvent(new ThresholdsChanged(athleteId, begin, span.until().orElse(END_OF_TIME), sports, parts));
    }
}
