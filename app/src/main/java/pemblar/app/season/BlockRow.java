package pemblar.app.season;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import pemblar.core.season.Block;

@Entity
@Table(name = "block")
class BlockRow {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;
    Long athleteId;
    LocalDate firstDay;
    int days;
    @Enumerated(EnumType.STRING)
    Block.Phase phase;
    String name;
    String aim;
    double targetLoad;
    int targetSeconds;

    protected BlockRow() {}

    BlockRow(long athleteId, Block block) {
        this.athleteId = athleteId;
        this.firstDay = block.first();
        this.days = block.days();
        this.phase = block.phase();
        this.name = block.name();
        this.aim = block.aim();
        this.targetLoad = block.targetLoad();
        this.targetSeconds = block.targetSeconds();
    }

    Block toCore() {
        return new Block(firstDay, days, phase, name, aim, targetLoad, targetSeconds);
    }
}
