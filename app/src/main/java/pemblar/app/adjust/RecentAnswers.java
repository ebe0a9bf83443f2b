package pemblar.app.adjust;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Component;
import pemblar.core.adjust.Adjusting;
import pemblar.core.adjust.Situation;

/**
 * What the core answered to situations of late. The same situation always has the same answer, so a page that is looked
 * at again does not compute it again; nothing rests on it being here.
 */
@Component
class RecentAnswers {
    private static final int MOST = 200;
    private final Map<Situation, Adjusting.Answer> answers =
            Collections.synchronizedMap(new LinkedHashMap<>(16, 0.75f, true) {
                @Override
                protected boolean removeEldestEntry(Map.Entry<Situation, Adjusting.Answer> eldest) {
                    return size() > MOST;
                }
            });

    Adjusting.Answer of(Situation situation) {
        Adjusting.Answer known = answers.get(situation);
        if (known != null) return known;
        Adjusting.Answer answer = Adjusting.of(situation);
        answers.put(situation, answer);
        return answer;
    }
}
