package pemblar.app.evidence.profile;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** Reference bands that a person put in place of those that ship, as the file came. */
@Entity
@Table(name = "profile_bands")
class ProfileBandsRow {
    @Id
    Long accountId;

    String fileName;
    String content;

    protected ProfileBandsRow() {}

    ProfileBandsRow(long accountId, String fileName, String content) {
        this.accountId = accountId;
        this.fileName = fileName;
        this.content = content;
    }
}
