package pemblar.app.others;

import java.util.List;
import java.util.stream.Collectors;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.athlete.AthleteService;
import pemblar.app.athlete.Handover;
import pemblar.app.frame.Viewer;

/** Recordings of others that a coach kept for somebody who had not come yet are kept for the person from then on. */
@Component
@Order(8)
class OthersHandover implements Handover {
    private final AthleteService athletes;

    OthersHandover(AthleteService athletes) {
        this.athletes = athletes;
    }

    @Override
    public List<String> preview(Athlete from, Athlete to) {
        String names = athletes.keptFor(from).stream().map(Athlete::name).collect(Collectors.joining(", "));
        return names.isEmpty() ? List.of() : List.of("Recordings of others: " + names + ".");
    }

    @Override
    public void hand(Athlete from, Athlete to, Viewer person, boolean seasonToo) {
        athletes.moveKept(from, to);
    }
}
