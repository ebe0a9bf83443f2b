package pemblar.app.frame.page;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpServletResponseWrapper;
import java.io.IOException;
import java.io.PrintWriter;
import java.util.Map;
import org.thymeleaf.spring6.view.ThymeleafView;

/** A page is drawn as a whole and written at once: letter by letter through the answer's writer took a tenth of it. */
public class WholePage extends ThymeleafView {
    @Override
    public void render(Map<String, ?> model, HttpServletRequest request, HttpServletResponse response)
            throws Exception {
        Collected collected = new Collected(response);
        super.render(model, request, collected);
        collected.write();
    }

    private static final class Collected extends HttpServletResponseWrapper {
        private PageBytes page;

        Collected(HttpServletResponse response) {
            super(response);
        }

        @Override
        public PrintWriter getWriter() {
            if (page == null) page = new PageBytes();
            return new PrintWriter(page);
        }

        void write() throws IOException {
            if (page != null) page.writeTo(getOutputStream());
        }
    }
}
