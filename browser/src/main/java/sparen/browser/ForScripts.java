package sparen.browser;

import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.teavm.model.BasicBlock;
import org.teavm.model.ClassHolder;
import org.teavm.model.ClassHolderTransformer;
import org.teavm.model.ClassHolderTransformerContext;
import org.teavm.model.Instruction;
import org.teavm.model.MethodHolder;
import org.teavm.model.MethodReference;
import org.teavm.model.instructions.InvocationType;
import org.teavm.model.instructions.InvokeInstruction;

/**
 * While the core is compiled, puts our own in the place of what is missing or differs in a script: {@link Fused} for the fused multiply-add that
 * the sun's position is worked out with, {@link Library} for what the class library of scripts does otherwise.
 */
public final class ForScripts implements ClassHolderTransformer {
    private static final Map<MethodReference, MethodReference> OURS = Map.of(
            new MethodReference(Math.class, "fma", double.class, double.class, double.class, double.class),
            new MethodReference(Fused.class, "multiplyAdd", double.class, double.class, double.class, double.class),
            new MethodReference(String.class, "format", Locale.class, String.class, Object[].class, String.class),
            new MethodReference(Library.class, "format", Locale.class, String.class, Object[].class, String.class));

    private static final MethodReference DISTINCT = new MethodReference(Stream.class, "distinct", Stream.class);
    private static final MethodReference OUR_DISTINCT =
            new MethodReference(Library.class, "distinct", Stream.class, Stream.class);

    @Override
    public void transformClass(ClassHolder type, ClassHolderTransformerContext context) {
        if (type.getName().equals(Library.class.getName())) {
            return;
        }
        for (MethodHolder method : type.getMethods()) {
            if (method.getProgram() != null) {
                for (BasicBlock block : method.getProgram().getBasicBlocks()) {
                    for (Instruction instruction : block) {
                        if (instruction instanceof InvokeInstruction call) {
                            put(call);
                        }
                    }
                }
            }
        }
    }

    private static void put(InvokeInstruction call) {
        if (OURS.containsKey(call.getMethod())) {
            call.setMethod(OURS.get(call.getMethod()));
        } else if (call.getMethod().equals(DISTINCT)) {
            call.setMethod(OUR_DISTINCT);
            call.setType(InvocationType.SPECIAL);
            call.setArguments(call.getInstance());
            call.setInstance(null);
        }
    }
}
