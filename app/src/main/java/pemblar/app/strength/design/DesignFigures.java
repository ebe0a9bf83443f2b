package pemblar.app.strength.design;

import java.time.LocalDate;
import java.util.List;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import pemblar.app.athlete.Athlete;
import pemblar.app.session.done.LiftedSessions;
import pemblar.app.session.done.StrengthFigures;
import pemblar.app.strength.Exercises;
import pemblar.app.strength.maximum.MaximaService;
import pemblar.core.strength.StrengthShorthand;
import pemblar.core.strength.StrengthWorkout;

/** Leg work by the movements of a session's exercises, and its silhouette by the maxima of its day. */
@Component
class DesignFigures implements StrengthFigures {
    private final Exercises exercises;
    private final ObjectProvider<MaximaService> maxima;
    private final ObjectProvider<LiftedSessions> sessions;

    DesignFigures(Exercises exercises, ObjectProvider<MaximaService> maxima, ObjectProvider<LiftedSessions> sessions) {
        this.exercises = exercises;
        this.maxima = maxima;
        this.sessions = sessions;
    }

    @Override
    public boolean isHeavyOnLegs(String shorthand) {
        return StrengthShorthand.read(shorthand)
                .workout()
                .filter(workout -> workout.isHeavyOnLegs(exercises::isOfLegs))
                .isPresent();
    }

    @Override
    public List<Double> strokes(Athlete athlete, LocalDate day, StrengthWorkout workout) {
        return Strokes.shares(
                maxima.getObject().on(athlete, day, workout.exercises()).rows(workout));
    }

    /** Sessions of an earlier version do not know yet. */
    @Order
    @EventListener(ApplicationReadyEvent.class)
    void tellOldOnes() {
        while (sessions.getObject().tellNextLegs()) continue;
    }
}
