package sparen.export;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads and runs a function block of structured text as a programmable relay would, scan by scan: assignments, IF, boolean and real
 * expressions, the timers TON and TP. Written from IEC 61131-3 (from memory), not from the exporter.
 */
final class TextInterpreter {
    private static final Pattern TOKEN = Pattern.compile(
            "\\s*(\\(\\*.*?\\*\\)|T#\\d+ms|:=|<=|>=|=>|[A-Za-z_]\\w*|\\d+(?:\\.\\d+)?(?:[eE]-?\\d+)?|[-+*/(),;:.<>=])",
            Pattern.DOTALL);

    private final Map<String, Object> variables = new HashMap<>();
    private final List<String> inputs = new ArrayList<>();
    private final List<String> tokens = new ArrayList<>();
    private int at;
    private int bodyStart;
    private double now;

    TextInterpreter(String text) {
        Matcher matcher = TOKEN.matcher(text);
        int end = 0;
        while (matcher.find()) {
            if (!text.substring(end, matcher.start()).isBlank()) {
                throw new IllegalArgumentException("no token: " + text.substring(end, matcher.start()));
            }
            end = matcher.end();
            if (!matcher.group(1).startsWith("(*")) {
                tokens.add(matcher.group(1));
            }
        }
        if (!text.substring(end).isBlank()) {
            throw new IllegalArgumentException("no token: " + text.substring(end));
        }
        expect("FUNCTION_BLOCK");
        next();
        declarations();
        bodyStart = at;
    }

    List<String> inputs() {
        return inputs;
    }

    /** One scan at an instant (s) with the inputs set; the contact after it. */
    boolean scan(double seconds, Map<String, Double> values) {
        now = seconds;
        for (String input : inputs) {
            variables.put(input, values.get(input));
        }
        at = bodyStart;
        statements(true);
        expect("END_FUNCTION_BLOCK");
        return (Boolean) variables.get("closed");
    }

    /** On-delay and pulse timer by the standard's timing diagrams. */
    private final class Block {
        private final boolean pulse;
        private boolean input;
        private double since = Double.NaN;
        private boolean q;

        Block(boolean pulse) {
            this.pulse = pulse;
        }

        void call(boolean in, double time) {
            if (pulse) {
                if (in && !input && !q) {
                    since = now;
                    q = true;
                }
                q = q && now - since < time - 1e-9;
            } else {
                since = !in ? Double.NaN : input ? since : now;
                q = in && now - since >= time - 1e-9;
            }
            input = in;
        }
    }

    private void declarations() {
        while (peek().startsWith("VAR")) {
            boolean input = next().equals("VAR_INPUT");
            while (!peek().equals("END_VAR")) {
                String name = next();
                expect(":");
                String type = next();
                Object value =
                        switch (type) {
                            case "REAL" -> 0.0;
                            case "BOOL" -> false;
                            case "TON" -> new Block(false);
                            case "TP" -> new Block(true);
                            default -> throw new IllegalArgumentException("type " + type);
                        };
                if (peek().equals(":=")) {
                    next();
                    value = expression();
                }
                expect(";");
                if (variables.put(name, value) != null) {
                    throw new IllegalArgumentException(name + " is declared twice");
                }
                if (input) {
                    inputs.add(name);
                }
            }
            expect("END_VAR");
        }
    }

    private void statements(boolean run) {
        while (!peek().startsWith("END_")) {
            if (peek().equals("IF")) {
                next();
                boolean holds = (Boolean) expression();
                expect("THEN");
                statements(run && holds);
                expect("END_IF");
                expect(";");
            } else {
                statement(run);
            }
        }
    }

    private void statement(boolean run) {
        String name = next();
        if (!variables.containsKey(name)) {
            throw new IllegalArgumentException(name + " is not declared");
        }
        if (peek().equals(":=")) {
            next();
            Object value = expression();
            if (run) {
                variables.put(name, value);
            }
        } else {
            expect("(");
            expect("IN");
            expect(":=");
            boolean in = (Boolean) expression();
            expect(",");
            expect("PT");
            expect(":=");
            double time = (Double) expression();
            expect(")");
            if (run) {
                ((Block) variables.get(name)).call(in, time);
            }
        }
        expect(";");
    }

    /** By precedence: OR, AND, comparison, sum, product, NOT and minus. */
    private Object expression() {
        Object value = conjunction();
        while (peek().equals("OR")) {
            next();
            Object other = conjunction();
            value = (Boolean) value | (Boolean) other;
        }
        return value;
    }

    private Object conjunction() {
        Object value = comparison();
        while (peek().equals("AND")) {
            next();
            Object other = comparison();
            value = (Boolean) value & (Boolean) other;
        }
        return value;
    }

    private Object comparison() {
        Object value = sum();
        if (peek().equals("<=") || peek().equals(">=")) {
            boolean below = next().equals("<=");
            double other = (Double) sum();
            return below ? (Double) value <= other : (Double) value >= other;
        }
        return value;
    }

    private Object sum() {
        Object value = product();
        while (peek().equals("+") || peek().equals("-")) {
            boolean plus = next().equals("+");
            double other = (Double) product();
            value = (Double) value + (plus ? other : -other);
        }
        return value;
    }

    private Object product() {
        Object value = unary();
        while (peek().equals("*")) {
            next();
            value = (Double) value * (Double) unary();
        }
        return value;
    }

    private Object unary() {
        String token = next();
        if (token.equals("NOT")) {
            return !(Boolean) unary();
        }
        if (token.equals("-")) {
            return -(Double) unary();
        }
        if (token.equals("(")) {
            Object value = expression();
            expect(")");
            return value;
        }
        if (token.equals("TRUE") || token.equals("FALSE")) {
            return token.equals("TRUE");
        }
        if (token.startsWith("T#")) {
            return Double.parseDouble(token.substring(2, token.length() - 2)) / 1000;
        }
        if (Character.isDigit(token.charAt(0))) {
            return Double.parseDouble(token);
        }
        Object value = variables.get(token);
        if (value == null) {
            throw new IllegalArgumentException(token + " is not declared");
        }
        if (value instanceof Block block) {
            expect(".");
            expect("Q");
            return block.q;
        }
        return value;
    }

    private String peek() {
        return tokens.get(at);
    }

    private String next() {
        return tokens.get(at++);
    }

    private void expect(String token) {
        String found = next();
        if (!found.equals(token)) {
            Deque<String> before = new ArrayDeque<>(tokens.subList(Math.max(0, at - 8), at));
            throw new IllegalArgumentException("expected " + token + " after " + before);
        }
    }
}
