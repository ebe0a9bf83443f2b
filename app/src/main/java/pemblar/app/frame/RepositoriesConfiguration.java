package pemblar.app.frame;

import org.springframework.context.annotation.Configuration;
import org.springframework.data.jpa.repository.config.EnableJpaRepositories;
import org.springframework.data.jpa.repository.query.DeclaredQuery;
import org.springframework.data.jpa.repository.query.QueryEnhancerFactories;
import org.springframework.data.jpa.repository.query.QueryEnhancerFactory;
import org.springframework.data.jpa.repository.query.QueryEnhancerSelector;

/**
 * Statements are handed to the database layer as they are written: none is sorted or counted by a rewriting of its
 * text, and a grammar that could rewrite them took a quarter of a start.
 */
@Configuration
@EnableJpaRepositories(basePackages = "pemblar.app", queryEnhancerSelector = RepositoriesConfiguration.AsWritten.class)
public class RepositoriesConfiguration {
    public static class AsWritten implements QueryEnhancerSelector {
        @Override
        public QueryEnhancerFactory select(DeclaredQuery query) {
            return QueryEnhancerFactories.fallback();
        }
    }
}
