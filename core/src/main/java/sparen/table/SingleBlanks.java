package sparen.table;

import java.io.FilterReader;
import java.io.IOException;
import java.io.Reader;

/** Text whose columns are parted by blanks, with one blank for each run of them and none at either end of a line. */
final class SingleBlanks extends FilterReader {
    private static final int NOTHING = -2;

    /** What was read and waits behind a blank. */
    private int waiting = NOTHING;

    private boolean inLine;

    SingleBlanks(Reader text) {
        super(text);
    }

    /** The text as it is read by a layout. */
    static Reader of(Reader text, char separator) {
        return separator == ' ' ? new SingleBlanks(text) : text;
    }

    @Override
    public int read() throws IOException {
        if (waiting != NOTHING) {
            int now = waiting;
            waiting = NOTHING;
            return now;
        }
        boolean isParted = false;
        int now = in.read();
        while (now == ' ' || now == '\t') {
            isParted = true;
            now = in.read();
        }
        boolean isEnd = now < 0 || now == '\n' || now == '\r';
        boolean isBetween = isParted && inLine && !isEnd;
        inLine = !isEnd;
        if (isBetween) {
            waiting = now;
            return ' ';
        }
        return now;
    }

    @Override
    public int read(char[] into, int from, int most) throws IOException {
        int count = 0;
        while (count < most) {
            int now = read();
            if (now < 0) {
                return count == 0 ? -1 : count;
            }
            into[from + count] = (char) now;
            count++;
        }
        return count;
    }
}
