package pemblar.app.program;

import jakarta.servlet.Filter;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletRequest;
import jakarta.servlet.ServletResponse;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import pemblar.app.program.key.ProgramSecurity;
import pemblar.app.program.key.TokenFilter;

/** The description of the interface is for everybody: it holds nobody's data. */
public record ButDescription(TokenFilter filter) implements Filter {
    @Override
    public void doFilter(ServletRequest request, ServletResponse response, FilterChain chain)
            throws IOException, ServletException {
        if (((HttpServletRequest) request).getServletPath().equals(ProgramSecurity.DESCRIPTION))
            chain.doFilter(request, response);
        else filter.doFilter(request, response, chain);
    }
}
