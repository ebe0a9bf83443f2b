package pemblar.app.program;

import io.swagger.v3.oas.annotations.Hidden;
import org.springframework.web.bind.annotation.RequestMapping;
import pemblar.app.frame.NotFoundException;
import pemblar.app.program.key.May;
import pemblar.app.program.key.Scope;

/** Addresses at which there is nothing. */
@Hidden
@Api
class NothingApi {
    @May(Scope.READ)
    @RequestMapping("/api/**")
    void nothing() {
        throw new NotFoundException("address");
    }
}
