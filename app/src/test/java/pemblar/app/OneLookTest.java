package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import java.util.List;
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
}
