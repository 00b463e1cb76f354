package sparen.browser;

import org.teavm.model.BasicBlock;
import org.teavm.model.ClassHolder;
import org.teavm.model.ClassHolderTransformer;
import org.teavm.model.ClassHolderTransformerContext;
import org.teavm.model.Instruction;
import org.teavm.model.MethodHolder;
import org.teavm.model.MethodReference;
import org.teavm.model.instructions.InvokeInstruction;

/** While the core is compiled: scripts have no fused multiply-add, which the sun's position is worked out with; {@link Fused} stands for it. */
public final class FusedAsPlain implements ClassHolderTransformer {
    private static final MethodReference FUSED =
            new MethodReference(Math.class, "fma", double.class, double.class, double.class, double.class);
    private static final MethodReference OURS =
            new MethodReference(Fused.class, "multiplyAdd", double.class, double.class, double.class, double.class);

    @Override
    public void transformClass(ClassHolder type, ClassHolderTransformerContext context) {
        for (MethodHolder method : type.getMethods()) {
            if (method.getProgram() != null) {
                for (BasicBlock block : method.getProgram().getBasicBlocks()) {
                    for (Instruction instruction : block) {
                        if (instruction instanceof InvokeInstruction call
                                && call.getMethod().equals(FUSED)) {
                            call.setMethod(OURS);
                        }
                    }
                }
            }
        }
    }
}
