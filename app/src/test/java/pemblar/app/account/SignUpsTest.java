package pemblar.app.account;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.RETURNS_DEEP_STUBS;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.Instant;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import pemblar.app.frame.Secret;

@Tag("unit")
class SignUpsTest {
    private final AccountService accounts = mock(AccountService.class);
    private final JdbcClient sql = mock(JdbcClient.class, RETURNS_DEEP_STUBS);

    private SignUps by(String setting) {
        return new SignUps(setting, accounts, sql, () -> Instant.EPOCH);
    }

    private void open(String token, int invitations) {
        when(sql.sql(anyString())
                        .params(eq(Secret.hash(token)), any(Object.class))
                        .query(Integer.class)
                        .single())
                .thenReturn(invitations);
    }

    @Test
    void theFirstAccountCanAlwaysBeMade() {
        when(accounts.isEmpty()).thenReturn(true);
        for (String setting : new String[] {"open", "invitation", "closed"}) {
            assertTrue(by(setting).isOpenToAll());
            assertNull(by(setting).refused(""));
        }
    }

    @Test
    void byInvitationOnlyWhoComesByAnOpenOne() {
        open("a token", 1);
        open("an old token", 0);
        SignUps byInvitation = by(" Invitation ");
        assertFalse(byInvitation.isOpenToAll());
        assertNull(byInvitation.refused("a token"));
        for (String token : new String[] {"", "an old token"})
            assertTrue(byInvitation.refused(token).startsWith("Accounts are made here by invitation"));
    }

    @Test
    void closedIsClosedAlsoToWhoIsInvited() {
        open("a token", 1);
        assertTrue(by("closed").refused("a token").startsWith("No accounts are made here"));
        assertNull(by("open").refused(""));
    }

    @Test
    void anotherSettingStopsTheStartAndSaysWhatIsPossible() {
        assertEquals(
                "PEMBLAR_SIGN_UP must be open, invitation or closed, was maybe",
                assertThrows(IllegalArgumentException.class, () -> by("maybe")).getMessage());
    }
}
