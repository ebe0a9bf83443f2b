package pemblar.app.account;

import java.util.Optional;
import org.springframework.data.repository.Repository;

interface AccountRepository extends Repository<AccountRow, Long> {
    AccountRow save(AccountRow row);

    Optional<AccountRow> findByEmail(String email);

    Optional<AccountRow> findById(long id);

    long count();
}
