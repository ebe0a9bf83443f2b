package pemblar.app.season;

import java.util.List;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.checkin.DaysAway;

/** Days away as the check-ins show them. */
@Component
class AwaySpans implements DaysAway {
    private final PlanService plan;

    AwaySpans(PlanService plan) {
        this.plan = plan;
    }

    @Override
    public List<Span> spans(Athlete athlete) {
        return plan.held(athlete).away().stream()
                .map(a -> new Span(a.from(), a.to(), a.reason()))
                .toList();
    }
}
