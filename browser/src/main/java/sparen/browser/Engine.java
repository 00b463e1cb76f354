package sparen.browser;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.teavm.jso.JSBody;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;
import org.teavm.jso.core.JSArray;
import org.teavm.jso.core.JSBoolean;
import org.teavm.jso.core.JSNumber;
import org.teavm.jso.core.JSString;
import sparen.quantity.InvalidQuantity;

/** The way in for scripts: questions and answers as objects of the script. */
public final class Engine {
    static {
        KeptRuns.tells = Engine::tell;
    }

    private Engine() {}

    /** Nothing is done before something is asked. */
    public static void main(String[] arguments) {}

    /**
     * Answers a question.
     *
     * @param name such as READING
     * @param question as the server takes it
     * @param files what was measured for the site: its profiles and weather files, by id; null for nothing
     * @return an object with the answer, with the pointer and the detail of a refusal, or with what is missing among the files
     */
    @JSExport
    public static JSObject answer(String name, JSObject question, JSObject files) {
        try {
            return object(Map.of("answer", Questions.answer(name, tree(question), tree(files))));
        } catch (Questions.NotAtHand missing) {
            return object(Map.of("missing", missing.getMessage()));
        } catch (Refused refused) {
            return object(Map.of("pointer", refused.pointer(), "detail", refused.getMessage()));
        } catch (InvalidQuantity invalid) {
            return object(Map.of("pointer", "/" + invalid.field().replace('.', '/'), "detail", invalid.getMessage()));
        }
    }

    @JSBody(
            params = "value",
            script = "return value === null ? 'null' : Array.isArray(value) ? 'array' : typeof value;")
    private static native String kind(JSObject value);

    @JSBody(params = "value", script = "return Object.keys(value);")
    private static native String[] keys(JSObject value);

    @JSBody(
            params = {"value", "key"},
            script = "return value[key];")
    private static native JSObject get(JSObject value, String key);

    @JSBody(
            params = {"value", "key", "part"},
            script = "value[key] = part;")
    private static native void set(JSObject value, String key, JSObject part);

    /** Says how far long work is (fraction) to whoever waits outside the thread it is in. */
    @JSBody(
            params = "share",
            script = "if (typeof WorkerGlobalScope !== 'undefined') { self.postMessage({ progress: share }); }")
    private static native void tell(double share);

    @JSBody(script = "return {};")
    private static native JSObject empty();

    private static Object tree(JSObject value) {
        switch (kind(value)) {
            case "array":
                List<Object> list = new ArrayList<>();
                JSArray<JSObject> array = value.cast();
                for (int i = 0; i < array.getLength(); i++) {
                    list.add(tree(array.get(i)));
                }
                return list;
            case "object":
                Map<String, Object> map = new LinkedHashMap<>();
                for (String key : keys(value)) {
                    map.put(key, tree(get(value, key)));
                }
                return map;
            case "number":
                return ((JSNumber) value).doubleValue();
            case "boolean":
                return ((JSBoolean) value).booleanValue();
            case "string":
                return ((JSString) value).stringValue();
            default:
                return null;
        }
    }

    private static JSObject object(Object tree) {
        if (tree instanceof Map<?, ?> map) {
            JSObject made = empty();
            map.forEach((key, value) -> set(made, (String) key, object(value)));
            return made;
        } else if (tree instanceof List<?> list) {
            JSArray<JSObject> made = new JSArray<>(list.size());
            for (int i = 0; i < list.size(); i++) {
                made.set(i, object(list.get(i)));
            }
            return made;
        } else if (tree instanceof Double number) {
            return JSNumber.valueOf(number);
        } else if (tree instanceof Boolean yes) {
            return JSBoolean.valueOf(yes);
        }
        return tree == null ? null : JSString.valueOf((String) tree);
    }
}
