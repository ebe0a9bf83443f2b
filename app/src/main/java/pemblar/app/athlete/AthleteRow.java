package pemblar.app.athlete;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import pemblar.core.load.LoadTrend;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.Sex;

@Entity
@Table(name = "athlete")
class AthleteRow {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    Long accountId;
    String name;
    /** Names of the sports with commas between, the first one first. */
    String sports;

    @Enumerated(EnumType.STRING)
    Sex sex;

    String timeZone;
    String zonesSince = "";
    double acuteDays = LoadTrend.Settings.DEFAULT.acuteDays();
    double chronicDays = LoadTrend.Settings.DEFAULT.chronicDays();
    Double startChronic;
    LocalDate sharedUntil;
    /** The athlete for whom recordings of this other one are kept. */
    Long keptBy;

    protected AthleteRow() {}

    AthleteRow(Long accountId, String name, List<Sport> sports, Sex sex, ZoneId zone) {
        this.accountId = accountId;
        this.name = name;
        this.sports = text(sports);
        this.sex = sex;
        this.timeZone = zone.getId();
    }

    static String text(List<Sport> sports) {
        return sports.stream().map(Sport::name).collect(Collectors.joining(","));
    }

    private List<Sport> trained() {
        return Arrays.stream(sports.split(",")).map(Sport::valueOf).toList();
    }

    /** @param draftsSeen by the person who asks */
    Athlete toAthlete(boolean draftsSeen) {
        double start = startChronic == null ? Double.NaN : startChronic;
        return new Athlete(
                id,
                name,
                trained(),
                sex,
                LivedZones.read(timeZone, zonesSince),
                new LoadTrend.Settings(acuteDays, chronicDays, start, start),
                draftsSeen,
                sharedUntil,
                keptBy);
    }
}
