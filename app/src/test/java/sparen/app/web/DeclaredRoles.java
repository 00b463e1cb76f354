package sparen.app.web;

import io.swagger.v3.oas.models.Operation;
import java.util.Optional;
import org.springdoc.core.customizers.OperationCustomizer;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import sparen.app.right.Allowed;
import sparen.app.right.Anyone;

/** Tells in the description of the API whom each operation is for: {@code x-role}. */
@Component
class DeclaredRoles implements OperationCustomizer {
    @Override
    public Operation customize(Operation operation, HandlerMethod method) {
        Optional.ofNullable(method.getMethodAnnotation(Allowed.class))
                .ifPresent(allowed ->
                        operation.addExtension("x-role", allowed.value().name()));
        if (method.getMethodAnnotation(Anyone.class) != null) {
            operation.addExtension("x-role", "ANYONE");
        }
        return operation;
    }
}
