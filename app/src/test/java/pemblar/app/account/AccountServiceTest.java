package pemblar.app.account;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Instant;
import java.util.Optional;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import pemblar.app.account.second.SecondFactorStore;

@Tag("unit")
class AccountServiceTest {
    private final AccountRepository accounts = mock(AccountRepository.class);
    private final AccountService service = new AccountService(
            accounts, new BCryptPasswordEncoder(4), mock(SecondFactorStore.class), () -> Instant.EPOCH);

    @Test
    void aPasswordIsKeptAsAHashOnly() {
        when(accounts.findByEmail(anyString())).thenReturn(Optional.empty());
        when(accounts.save(any())).thenAnswer(call -> {
            AccountRow row = call.getArgument(0);
            row.id = 7L;
            return row;
        });
        assertEquals(
                7,
                service.create(" Some@Example.ORG ", " Name ", "a long password")
                        .accountId());
        ArgumentCaptor<AccountRow> saved = ArgumentCaptor.forClass(AccountRow.class);
        verify(accounts).save(saved.capture());
        assertEquals("some@example.org", saved.getValue().email);
        assertEquals(
                true,
                saved.getValue().passwordHash.startsWith("$2")
                        && !saved.getValue().passwordHash.contains("password"));
    }

    @Test
    void nothingIsSavedWhenSomethingIsRefused() {
        assertThrows(IllegalArgumentException.class, () -> service.create("no address", "Name", "a long password"));
        assertThrows(IllegalArgumentException.class, () -> service.create("a@b", " ", "a long password"));
        assertThrows(IllegalArgumentException.class, () -> service.create("a@b", "Name", "short"));
        assertThrows(IllegalArgumentException.class, () -> service.create("a@b", "Name", "ä".repeat(40)));
        verify(accounts, never()).save(any());
    }
}
