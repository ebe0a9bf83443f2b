package pemblar.app.program;

import io.swagger.v3.oas.models.Components;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.security.SecurityRequirement;
import io.swagger.v3.oas.models.security.SecurityScheme;
import io.swagger.v3.oas.models.servers.Server;
import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What the description of the interface says beside its addresses. */
@Configuration
class Description {
    private static final String TOKEN = "token";

    /** The server is the one that was set, not what a request called it. */
    @Bean
    OpenAPI openApi(@Value("${pemblar.site}") String site) {
        SecurityScheme bearer = new SecurityScheme()
                .type(SecurityScheme.Type.HTTP)
                .scheme("bearer")
                .description("A token from the page of programs");
        return new OpenAPI()
                .info(new Info()
                        .title("Pemblar")
                        .version("1")
                        .description("Days are local days, lengths are seconds and metres; what is refused is answered"
                                + " as problem details (RFC 9457). More in docs/formats/programs.md."))
                .servers(List.of(new Server().url(site)))
                .components(new Components().addSecuritySchemes(TOKEN, bearer))
                .addSecurityItem(new SecurityRequirement().addList(TOKEN));
    }
}
