package pemblar.app.evidence.profile;

import java.util.Optional;
import org.springframework.data.repository.Repository;

interface ProfileBandsRepository extends Repository<ProfileBandsRow, Long> {
    ProfileBandsRow save(ProfileBandsRow row);

    void deleteById(long accountId);

    Optional<ProfileBandsRow> findById(long accountId);
}
