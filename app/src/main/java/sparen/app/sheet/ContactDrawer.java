package sparen.app.sheet;

import com.openhtmltopdf.extend.FSObjectDrawer;
import com.openhtmltopdf.extend.OutputDevice;
import com.openhtmltopdf.render.RenderingContext;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Shape;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.util.Map;
import org.w3c.dom.Element;

/** Draws a make contact as circuit diagrams have it (IEC 60617 style) and as the screen does: a blade that touches when closed. */
final class ContactDrawer implements FSObjectDrawer {
    /** What an object says to be one. */
    static final String TYPE = "sparen/contact";

    private static final double WIDE = 64;
    private static final double HIGH = 32;
    private static final double LINE = 22;
    private static final double HINGE = 20;
    private static final double TERMINAL = 44;
    private static final double RADIUS = 2.6;

    /** An object of a page; it is closed where its {@code data} says so. */
    static String object(boolean closed) {
        return "<object class=\"contact\" type=\"" + TYPE + "\" data=\"" + (closed ? "closed" : "open")
                + "\"></object>";
    }

    @Override
    public Map<Shape, String> drawObject(
            Element object,
            double x,
            double y,
            double width,
            double height,
            OutputDevice device,
            RenderingContext context,
            int dotsPerPixel) {
        boolean closed = object.getAttribute("data").equals("closed");
        float wide = (float) width / dotsPerPixel;
        float high = (float) height / dotsPerPixel;
        device.drawWithGraphics((float) x, (float) y, wide, high, graphics -> {
            graphics.scale(wide / WIDE, high / HIGH);
            draw(graphics, closed);
        });
        return null;
    }

    private static void draw(Graphics2D graphics, boolean closed) {
        graphics.setColor(Color.BLACK);
        graphics.setStroke(new BasicStroke(2.5f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        graphics.draw(new Line2D.Double(2, LINE, HINGE, LINE));
        graphics.draw(new Line2D.Double(TERMINAL, LINE, WIDE - 2, LINE));
        graphics.draw(
                closed
                        ? new Line2D.Double(HINGE, LINE, TERMINAL + 1, LINE)
                        : new Line2D.Double(HINGE, LINE, TERMINAL - 2, LINE - 14));
        Shape terminal = new Ellipse2D.Double(TERMINAL - RADIUS, LINE - RADIUS, 2 * RADIUS, 2 * RADIUS);
        graphics.setColor(closed ? Color.BLACK : Color.WHITE);
        graphics.fill(terminal);
        graphics.setColor(Color.BLACK);
        graphics.draw(terminal);
    }
}
