package sparen.question;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import sparen.device.Knob;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.rule.FreeCondition;
import sparen.program.rule.Rules;
import sparen.quantity.RecordType;
import sparen.site.AcSource;
import sparen.site.Consumption;

/** The types that have kinds, which JSON tells apart by a field {@code kind}. */
public final class Kinds {
    /** For each type its kinds by their names in JSON. */
    public static final Map<Class<?>, Map<String, Class<?>>> ALL = all();

    private Kinds() {}

    private static Map<Class<?>, Map<String, Class<?>>> all() {
        Map<Class<?>, Map<String, Class<?>>> all = new LinkedHashMap<>();
        Map<String, Class<?>> rules = new LinkedHashMap<>();
        Rules.ALL.forEach(kind -> rules.put(kind.name(), kind.type()));
        all.put(Rule.class, rules);
        for (Class<?> sealed :
                List.of(FreeCondition.class, Consumption.class, AcSource.class, Knob.class, Sentence.Part.class)) {
            Map<String, Class<?>> named = new TreeMap<>();
            RecordType.all().stream()
                    .filter(record -> record.kindOf().contains(sealed))
                    .map(RecordType::type)
                    .forEach(kind -> named.put(name(kind), kind));
            all.put(sealed, named);
        }
        return all;
    }

    private static String name(Class<?> kind) {
        String name = kind.getSimpleName().replace("Chip", "").replace("Knob", "");
        return Character.toLowerCase(name.charAt(0)) + name.substring(1);
    }
}
