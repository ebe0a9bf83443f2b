package pemblar.app.template;

import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface TemplateRepository extends Repository<TemplateRow, Long> {
    TemplateRow save(TemplateRow row);

    void delete(TemplateRow row);

    List<TemplateRow> findByAccountIdOrderByTitle(long accountId);

    Optional<TemplateRow> findByIdAndAccountId(long id, long accountId);
}
