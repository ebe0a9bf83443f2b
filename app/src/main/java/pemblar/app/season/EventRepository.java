package pemblar.app.season;

import java.util.List;
import org.springframework.data.repository.Repository;

interface EventRepository extends Repository<EventRow, Long> {
    EventRow save(EventRow row);

    List<EventRow> findByAthleteIdOrderByDay(long athleteId);
}
