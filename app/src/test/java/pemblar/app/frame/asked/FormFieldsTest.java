package pemblar.app.frame.asked;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import jakarta.servlet.http.HttpServletRequest;
import java.lang.reflect.Method;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.support.DefaultListableBeanFactory;
import org.springframework.core.MethodParameter;
import org.springframework.format.support.DefaultFormattingConversionService;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.support.ConfigurableWebBindingInitializer;
import org.springframework.web.bind.support.DefaultDataBinderFactory;
import org.springframework.web.context.request.ServletWebRequest;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;

@Tag("unit")
class FormFieldsTest {
    private final FormFields fields = new FormFields(new DefaultListableBeanFactory());
    private final Map<String, String[]> form = new HashMap<>();

    record Typed(
            @RequestParam String name,
            @RequestParam("dayFrom") LocalDate first,
            @RequestParam(defaultValue = "1") int days,
            @RequestParam(required = false) Integer revision,
            @RequestParam(defaultValue = "false") boolean replan,
            @RequestParam(required = false) List<Integer> weekdays) {}

    record Bound(String name, int days) {}

    record Half(@RequestParam String name, int days) {}

    void handle(Typed typed, Bound bound, Half half, String text) {}

    private static MethodParameter parameter(int index) {
        for (Method method : FormFieldsTest.class.getDeclaredMethods())
            if (method.getName().equals("handle")) return new MethodParameter(method, index);
        throw new IllegalStateException("no handler");
    }

    private Typed read() throws Exception {
        ConfigurableWebBindingInitializer conversion = new ConfigurableWebBindingInitializer();
        conversion.setConversionService(new DefaultFormattingConversionService());
        HttpServletRequest request = mock(HttpServletRequest.class);
        when(request.getParameterValues(anyString())).thenAnswer(asked -> form.get(asked.<String>getArgument(0)));
        return (Typed) fields.resolveArgument(
                parameter(0), null, new ServletWebRequest(request), new DefaultDataBinderFactory(conversion));
    }

    @Test
    void eachComponentIsReadAsASingleFieldIs() throws Exception {
        form.put("name", new String[] {"Tarn loop"});
        form.put("dayFrom", new String[] {"2026-12-06"});
        form.put("weekdays", new String[] {"2", "5"});
        assertThat(read()).isEqualTo(new Typed("Tarn loop", LocalDate.of(2026, 12, 6), 1, null, false, List.of(2, 5)));
        form.put("days", new String[] {"3"});
        form.put("revision", new String[] {""});
        form.put("replan", new String[] {"true"});
        assertThat(read().days()).isEqualTo(3);
        assertThat(read().revision()).isNull();
        assertThat(read().replan()).isTrue();
    }

    @Test
    void whatIsMissingOrMistypedIsNamedAsTheFormNamesIt() {
        form.put("name", new String[] {"Tarn loop"});
        assertThatThrownBy(this::read)
                .isInstanceOfSatisfying(
                        MissingServletRequestParameterException.class,
                        e -> assertThat(e.getParameterName()).isEqualTo("dayFrom"));
        form.put("dayFrom", new String[] {"2026-12-06"});
        form.put("days", new String[] {"many"});
        assertThatThrownBy(this::read)
                .isInstanceOfSatisfying(
                        MethodArgumentTypeMismatchException.class,
                        e -> assertThat(e.getName()).isEqualTo("days"));
    }

    @Test
    void otherRecordsAreLeftToTheFramework() {
        assertThat(fields.supportsParameter(parameter(0))).isTrue();
        assertThat(fields.supportsParameter(parameter(1))).isFalse();
        assertThat(fields.supportsParameter(parameter(2))).isFalse();
        assertThat(fields.supportsParameter(parameter(3))).isFalse();
    }
}
