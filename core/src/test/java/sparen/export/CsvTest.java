package sparen.export;

import static org.testng.Assert.assertEquals;

import org.testng.annotations.Test;

public class CsvTest {
    /** OWASP, CSV injection, from memory: what begins with = + - @, a tab or a return is no formula any more; numbers are left alone. */
    @Test
    public void aNameIsNeverAFormula() {
        assertEquals(
                Csv.of(csv -> csv.writeRecord("=1+1", "@sum", "-x", "+1e-3", "-4.5", "a=b", "−0.5", "\tq")),
                "'=1+1,'@sum,'-x,+1e-3,-4.5,a=b,−0.5,'\tq\r\n");
    }
}
