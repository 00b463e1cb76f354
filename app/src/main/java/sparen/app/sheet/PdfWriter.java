package sparen.app.sheet;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.render.DefaultObjectDrawerFactory;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import org.springframework.stereotype.Component;

/** Pages of HTML as PDF, with fonts that ship. */
@Component
class PdfWriter {
    private static final String SANS = "Liberation Sans";
    private static final int NORMAL = 400;
    private static final int BOLD = 700;

    /** A page, well-formed, that refers to nothing outside itself. */
    byte[] pdf(String html) {
        try {
            ByteArrayOutputStream pdf = new ByteArrayOutputStream();
            PdfRendererBuilder builder = new PdfRendererBuilder();
            font(builder, "LiberationSans-Regular.ttf", NORMAL);
            font(builder, "LiberationSans-Bold.ttf", BOLD);
            DefaultObjectDrawerFactory drawers = new DefaultObjectDrawerFactory();
            drawers.registerDrawer(ContactDrawer.TYPE, new ContactDrawer());
            builder.useObjectDrawerFactory(drawers);
            builder.withHtmlContent(html, null);
            builder.toStream(pdf);
            builder.run();
            return pdf.toByteArray();
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }

    private static void font(PdfRendererBuilder builder, String file, int weight) {
        builder.useFont(() -> stream("/liberation/" + file), SANS, weight, FontStyle.NORMAL, true);
    }

    private static InputStream stream(String resource) {
        return PdfWriter.class.getResourceAsStream(resource);
    }
}
