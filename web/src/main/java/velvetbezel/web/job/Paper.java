package velvetbezel.web.job;

import com.openhtmltopdf.extend.SVGDrawer;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Locale;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.SpringTemplateEngine;

/** Pages as PDF, with the typefaces that ship with the program. */
@Component
public class Paper {
    private static final String FAMILY = "Hyper";
    private static final int REGULAR = 400;
    private static final int BOLD = 700;
    private final SpringTemplateEngine templates;

    Paper(SpringTemplateEngine templates) {
        this.templates = templates;
    }

    /** @param template well-formed as XML */
    public byte[] pdf(String template, Object view) {
        Context context = new Context(Locale.ENGLISH);
        context.setVariable("view", view);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (SVGDrawer drawer = new BatikSVGDrawer()) {
            new PdfRendererBuilder()
                    .useSVGDrawer(drawer)
                    .useFont(() -> font("regular"), FAMILY, REGULAR, PdfRendererBuilder.FontStyle.NORMAL, true)
                    .useFont(() -> font("bold"), FAMILY, BOLD, PdfRendererBuilder.FontStyle.NORMAL, true)
                    .withHtmlContent(templates.process(template, context), null)
                    .toStream(out)
                    .run();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private static InputStream font(String name) {
        try {
            return new ClassPathResource("print/" + name + ".ttf").getInputStream();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
