package pemblar.app.athlete;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.ZoneId;
import pemblar.core.Sport;
import pemblar.core.load.LoadTrend;
import pemblar.core.threshold.Sex;

@Entity
@Table(name = "athlete")
class AthleteRow {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;
    Long accountId;
    String name;
    @Enumerated(EnumType.STRING)
    Sport sport;
    @Enumerated(EnumType.STRING)
    Sex sex;
    String timeZone;
    double acuteDays = LoadTrend.Settings.DEFAULT.acuteDays();
    double chronicDays = LoadTrend.Settings.DEFAULT.chronicDays();
    Double startChronic;

    protected AthleteRow() {}

    AthleteRow(Long accountId, String name, Sport sport, Sex sex, ZoneId zone) {
        this.accountId = accountId;
        this.name = name;
        this.sport = sport;
        this.sex = sex;
        this.timeZone = zone.getId();
    }

    Athlete toAthlete() {
        double start = startChronic == null ? Double.NaN : startChronic;
        return new Athlete(id, name, sport, sex, ZoneId.of(timeZone), new LoadTrend.Settings(acuteDays, chronicDays, start, start));
    }
}
