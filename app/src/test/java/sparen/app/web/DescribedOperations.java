package sparen.app.web;

import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.responses.ApiResponse;
import io.swagger.v3.oas.models.security.SecurityRequirement;
import java.util.List;
import java.util.Locale;
import org.springdoc.core.customizers.OperationCustomizer;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import sparen.app.right.Allowed;
import sparen.app.right.Anyone;
import sparen.app.right.Role;

/** Tells in the description of the API what each operation does, for whom, and how it refuses. */
@Component
class DescribedOperations implements OperationCustomizer {
    private final Javadocs javadocs;

    DescribedOperations(Javadocs javadocs) {
        this.javadocs = javadocs;
    }

    @Override
    public Operation customize(Operation operation, HandlerMethod method) {
        String controller = method.getBeanType().getSimpleName().replaceAll("(Controller)?$", "");
        String place = controller.substring(0, 1).toLowerCase(Locale.ROOT) + controller.substring(1);
        Javadocs.Said type = javadocs.type(method.getBeanType().getSimpleName());
        Javadocs.Said said = type.methods().getOrDefault(method.getMethod().getName(), Javadocs.Said.NOTHING);
        operation.operationId(place + "." + method.getMethod().getName());
        operation.tags(List.of(ApiDescription.words(controller)));
        operation.summary(said.summary());
        if (said.text().length() > said.summary().length()) {
            operation.description(said.text());
        }
        if (operation.getParameters() != null) {
            operation.getParameters().stream()
                    .filter(parameter -> said.parameters().containsKey(parameter.getName()))
                    .forEach(
                            parameter -> parameter.description(said.parameters().get(parameter.getName())));
        }
        Allowed allowed = method.getMethodAnnotation(Allowed.class);
        if (method.getMethodAnnotation(Anyone.class) != null) {
            operation.addExtension("x-role", "ANYONE");
            operation.security(List.of());
        }
        if (allowed != null) {
            operation.addExtension("x-role", allowed.value().name());
            operation.security(ApiDescription.SIGNED_IN.stream()
                    .map(way -> new SecurityRequirement().addList(way))
                    .toList());
            refuses(operation, "401");
        }
        if (allowed != null && allowed.value() != Role.OBSERVER) {
            refuses(operation, "403");
        }
        boolean isOfOne = operation.getParameters() != null
                && operation.getParameters().stream().anyMatch(parameter -> "path".equals(parameter.getIn()));
        if (isOfOne) {
            refuses(operation, "404");
        }
        if (operation.getRequestBody() != null) {
            refuses(operation, "422");
        }
        refuses(operation, "default");
        return operation;
    }

    private static void refuses(Operation operation, String status) {
        operation.getResponses().addApiResponse(status, new ApiResponse().$ref(ApiDescription.refusal(status)));
    }
}
