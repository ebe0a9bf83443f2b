package pemblar.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaMethod;
import com.tngtech.archunit.core.domain.JavaModifier;
import io.swagger.v3.oas.annotations.Operation;
import java.lang.reflect.Constructor;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pemblar.app.frame.Hidden;

/** What travels together is a record, and a record that holds a secret does not show it. */
@Tag("unit")
class ReadableTest {
    private static final int MOST_PARAMETERS = 5;
    /** Methods that still take five things; the number only falls. */
    private static final int OF_FIVE = 79;

    private static final Set<String> SECRETS = Set.of("password", "present", "wanted", "code", "secret");
    private static final String HIDDEN = "a word that nobody may read";
    private static final JavaClasses OURS = StructureTest.OURS;

    /** Without what the compiler wrote, and without the program's interface, whose parameters are its description. */
    private static Stream<JavaMethod> written() {
        return OURS.stream()
                .filter(c -> !c.getSimpleName().contains("__"))
                .flatMap(c -> c.getMethods().stream())
                .filter(m -> !m.getModifiers().contains(JavaModifier.SYNTHETIC) && !m.isAnnotatedWith(Operation.class));
    }

    @Test
    void aMethodTakesFewThings() {
        List<String> more = written()
                .filter(m -> m.getRawParameterTypes().size() > MOST_PARAMETERS)
                .map(JavaMethod::getFullName)
                .toList();
        assertThat(more).isEmpty();
        assertThat(written().filter(m -> m.getRawParameterTypes().size() == MOST_PARAMETERS))
                .hasSizeLessThanOrEqualTo(OF_FIVE);
    }

    @Test
    void aRecordWithASecretDoesNotShowIt() throws ReflectiveOperationException {
        int held = 0;
        for (JavaClass of : OURS) {
            if (!of.isRecord() || !holdsASecret(of.reflect())) continue;
            held++;
            assertThat(made(of.reflect()).toString()).as(of.getName()).doesNotContain(HIDDEN);
        }
        assertThat(held).as("records that hold a secret").isGreaterThan(5);
    }

    private static boolean holdsASecret(Class<?> of) {
        return Arrays.stream(of.getRecordComponents())
                .anyMatch(c ->
                        c.getType() == Hidden.class || c.getType() == String.class && SECRETS.contains(c.getName()));
    }

    private static Object made(Class<?> of) throws ReflectiveOperationException {
        Class<?>[] types = Arrays.stream(of.getRecordComponents())
                .map(RecordComponent::getType)
                .toArray(Class<?>[]::new);
        Object[] values =
                Arrays.stream(of.getRecordComponents()).map(ReadableTest::any).toArray();
        Constructor<?> constructor = of.getDeclaredConstructor(types);
        constructor.setAccessible(true);
        return constructor.newInstance(values);
    }

    private static Object any(RecordComponent component) {
        Class<?> type = component.getType();
        if (type == Hidden.class) return new Hidden(HIDDEN);
        if (type == String.class) return SECRETS.contains(component.getName()) ? HIDDEN : "shown";
        if (type == int.class) return 1;
        if (type == long.class) return 1L;
        if (type == double.class) return 1.0;
        return type == boolean.class ? false : null;
    }
}
