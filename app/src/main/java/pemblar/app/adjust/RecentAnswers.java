package pemblar.app.adjust;

import org.springframework.stereotype.Component;
import pemblar.app.frame.Recent;
import pemblar.core.adjust.Adjusting;
import pemblar.core.adjust.Situation;

/** What the core answered to situations of late. */
@Component
class RecentAnswers {
    private static final int MOST = 200;
    private final Recent<Situation, Adjusting.Answer> answers = new Recent<>(MOST, Adjusting::of);

    Adjusting.Answer of(Situation situation) {
        return answers.of(situation);
    }
}
