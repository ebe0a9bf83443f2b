package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.slf4j.LoggerFactory;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import pemblar.app.frame.page.Looking;
import pemblar.app.frame.page.OneLook;

@Tag("http")
class OneLookTest {
    private static List<String> pages() {
        RequestMappingHandlerMapping mapping =
                Running.APPLICATION.getBean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class);
        return mapping.getHandlerMethods().entrySet().stream()
                .filter(e -> e.getValue().hasMethodAnnotation(OneLook.class))
                .flatMap(e -> e.getKey().getPatternValues().stream())
                .filter(path -> path.indexOf('{') == path.lastIndexOf('{'))
                .sorted()
                .toList();
    }

    /** What claims to read only is opened by the athlete and by a coach, whose look is kept in the trail. */
    @Test
    void noPageOfOneLookWritesAndEachIsRead() {
        List<String> pages = pages();
        assertThat(pages).hasSizeGreaterThan(20).contains("/a/{athleteId}/today", "/a/{athleteId}/board");
        ListAppender<ILoggingEvent> told = new ListAppender<>();
        told.start();
        Logger log = (Logger) LoggerFactory.getLogger(Looking.class);
        log.addAppender(told);
        try {
            Stream.of("jonna", "oda").map(Person::demo).forEach(person -> {
                for (String page : pages)
                    assertThat(person.get(page.replace("{athleteId}", "1")).statusCode())
                            .as(page)
                            .isIn(200, 400, 404);
            });
        } finally {
            log.detachAppender(told);
        }
        assertThat(told.list).extracting(ILoggingEvent::getFormattedMessage).isEmpty();
    }

    /** Three times as many as there are connections: each waits for its turn and is answered. */
    @Test
    void whoeverAsksAtOnceIsAnswered() throws Exception {
        Person person = Person.demo("jonna");
        List<String> asked = List.of("/a/1/today", "/a/1/board", "/a/1/season", "/a/1/checkins");
        ExecutorService people = Executors.newFixedThreadPool(40);
        List<Future<Integer>> answers = new ArrayList<>();
        for (int i = 0; i < 80; i++) {
            String page = asked.get(i % asked.size());
            answers.add(people.submit(() -> person.get(page).statusCode()));
        }
        people.shutdown();
        for (Future<Integer> answer : answers)
            assertThat(answer.get(90, TimeUnit.SECONDS)).isEqualTo(200);
    }
}
