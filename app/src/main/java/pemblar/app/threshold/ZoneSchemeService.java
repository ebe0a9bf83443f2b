package pemblar.app.threshold;

import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import pemblar.app.athlete.AthleteService;
import pemblar.app.frame.NotFoundException;
import pemblar.app.frame.Viewer;
import pemblar.core.zone.ZoneScheme;
import pemblar.formats.json.ZoneSchemeJson;

/** A person's own zone schemes: saved under a name, used for any athlete they see, exported and imported. */
@Service
public class ZoneSchemeService {
    private static final int MOST = 60;
    private final ZoneSchemeRepository schemes;
    private final ZoneSetRepository sets;
    private final AthleteService athletes;

    ZoneSchemeService(ZoneSchemeRepository schemes, ZoneSetRepository sets, AthleteService athletes) {
        this.schemes = schemes;
        this.sets = sets;
        this.athletes = athletes;
    }

    public record Kept(long id, ZoneScheme scheme) {}

    @Transactional(readOnly = true)
    public List<Kept> own(Viewer viewer) {
        return schemes.findByAccountIdOrderByName(viewer.accountId()).stream()
                .map(row -> new Kept(row.id, row.toCore()))
                .toList();
    }

    @Transactional(readOnly = true)
    public Kept require(long id, Viewer viewer) {
        return schemes.findByIdAndAccountId(id, viewer.accountId())
                .map(row -> new Kept(row.id, row.toCore()))
                .orElseThrow(() -> new NotFoundException("scheme"));
    }

    /** Saves a scheme under its name; one of the same name is replaced. Sets taken up from it keep what they have. */
    @Transactional
    public long save(Viewer viewer, ZoneScheme scheme) {
        var row = schemes.findByAccountIdAndName(viewer.accountId(), scheme.name());
        if (row.isPresent()) {
            row.get().fill(scheme);
            return row.get().id;
        }
        if (own(viewer).size() >= MOST)
            throw new IllegalArgumentException("You have " + MOST + " schemes already: delete one you no longer use.");
        return schemes.save(new ZoneSchemeRow(viewer.accountId(), scheme)).id;
    }

    /** @throws IllegalArgumentException naming all that uses the scheme */
    @Transactional
    public void delete(Viewer viewer, long id) {
        ZoneSchemeRow row =
                schemes.findByIdAndAccountId(id, viewer.accountId()).orElseThrow(() -> new NotFoundException("scheme"));
        List<ZoneSetRow> users = sets.findBySchemeIdOrderByAthleteIdAscValidFromAsc(id);
        if (!users.isEmpty())
            throw new IllegalArgumentException("“" + row.name + "” is in use and stays: "
                    + users.stream()
                            .map(u -> athletes.forJob(u.athleteId).name() + ", " + u.sport.key() + ", "
                                    + u.measure
                                            .name()
                                            .toLowerCase(java.util.Locale.ROOT)
                                            .replace('_', ' ') + " from " + u.validFrom)
                            .collect(Collectors.joining("; "))
                    + ". Give these another set first.");
        schemes.delete(row);
    }

    /** A file with the person's own schemes. */
    @Transactional(readOnly = true)
    public String export(Viewer viewer) {
        return ZoneSchemeJson.writeAll(own(viewer).stream().map(Kept::scheme).toList());
    }

    /** @return a sentence on what came in and what did not */
    @Transactional
    public String importFrom(Viewer viewer, String fileName, String json) {
        ZoneSchemeJson.Reading reading = ZoneSchemeJson.readAll(json);
        reading.schemes().forEach(scheme -> save(viewer, scheme));
        String came = reading.schemes().isEmpty()
                ? "Nothing came in from " + fileName + "."
                : "From " + fileName + ": "
                        + reading.schemes().stream()
                                .map(s -> "“" + s.name() + "”")
                                .collect(Collectors.joining(", ")) + ".";
        return reading.problems().isEmpty()
                ? came
                : came + "\n"
                        + reading.problems().stream().map(Object::toString).collect(Collectors.joining("\n"));
    }
}
