package pemblar.app.frame;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import jakarta.servlet.ServletOutputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;

@Tag("unit")
class DatabaseAwayTest {
    @Test
    void onlyALostConnectionIsTakenForADatabaseThatIsAway() {
        Map<SQLException, Boolean> away = Map.of(
                new SQLTransientConnectionException("not available within 2500 ms"), true,
                new SQLException("terminating connection due to administrator command", "57P01"), true,
                new SQLException("connection refused", "08001"), true,
                new SQLException("Connection is closed"), true,
                new SQLException("ResultSet is closed"), false,
                new SQLException("duplicate key", "23505"), false,
                new SQLException("deadlock", "40P01"), false);
        away.forEach((e, is) -> assertEquals(
                is, DatabaseAway.isAway(new IllegalStateException(new RuntimeException(e))), e.toString()));
        assertEquals(false, DatabaseAway.isAway(new IllegalStateException("Connection is closed")));
    }

    private static String answered(String path, Map<String, String> fields) throws IOException {
        HttpServletRequest request = mock(HttpServletRequest.class);
        when(request.getMethod()).thenReturn("POST");
        when(request.getRequestURI()).thenReturn(path);
        Map<String, String[]> parameters = new LinkedHashMap<>();
        fields.forEach((name, value) -> parameters.put(name, new String[] {value}));
        when(request.getParameterMap()).thenReturn(parameters);
        HttpServletResponse response = mock(HttpServletResponse.class);
        ServletOutputStream out = mock(ServletOutputStream.class);
        when(response.getOutputStream()).thenReturn(out);
        DatabaseAway.answer(request, response);
        verify(response).setStatus(503);
        ArgumentCaptor<byte[]> page = ArgumentCaptor.forClass(byte[].class);
        verify(out).write(page.capture());
        return new String(page.getValue(), StandardCharsets.UTF_8);
    }

    @Test
    void whatWasTypedIsKeptToBeSentAgain() throws IOException {
        String page = answered("/a/3/sessions/7/threads", Map.of("wanted", "a <word>", "body", "well \"held\""));
        assertTrue(page.contains("value=\"a &lt;word&gt;\"") && page.contains("value=\"well &quot;held&quot;\""));
        assertTrue(page.contains("Send again"));
    }

    @Test
    void noPasswordAndNoCodeStandsInThePage() throws IOException {
        for (String field : List.of("password", "present", "wanted", "code")) {
            String page = answered("/account/password", Map.of(field, "s3cret", "email", "a@pemblar.example"));
            assertFalse(page.contains("s3cret"), field);
            assertFalse(page.contains("Send again"), field);
            assertTrue(page.contains("Go back to the form"), field);
        }
    }
}
