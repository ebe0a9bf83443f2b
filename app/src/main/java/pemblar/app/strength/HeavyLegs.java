package pemblar.app.strength;

import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import pemblar.app.session.LegWork;
import pemblar.app.session.LiftedSessions;
import pemblar.core.strength.StrengthShorthand;

/** Leg work by the movements of a session's exercises. */
@Component
class HeavyLegs implements LegWork {
    private final Exercises exercises;
    private final ObjectProvider<LiftedSessions> sessions;

    HeavyLegs(Exercises exercises, ObjectProvider<LiftedSessions> sessions) {
        this.exercises = exercises;
        this.sessions = sessions;
    }

    @Override
    public boolean isHeavy(String shorthand) {
        return StrengthShorthand.read(shorthand)
                .workout()
                .filter(workout -> workout.isHeavyOnLegs(exercises::isOfLegs))
                .isPresent();
    }

    /** Sessions of an earlier version do not know yet. */
    @Order
    @EventListener(ApplicationReadyEvent.class)
    void tellOldOnes() {
        while (sessions.getObject().tellNextLegs()) continue;
    }
}
