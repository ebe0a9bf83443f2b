package pemblar.app.evidence;

import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface SetAsideRepository extends Repository<SetAsideRow, SetAsideRow.Key> {
    SetAsideRow save(SetAsideRow row);

    void delete(SetAsideRow row);

    Optional<SetAsideRow> findById(SetAsideRow.Key key);

    List<SetAsideRow> findByAthleteId(long athleteId);
}
