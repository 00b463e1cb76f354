package sparen.app.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AnonymousAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.crew.Crews;
import sparen.app.right.Allowed;
import sparen.app.right.Anyone;
import sparen.app.right.Role;
import sparen.app.web.Refusal;

/** Looks at who asks before an operation is begun or its body read: role, token, second factor, and the crews of a site. */
@Component
class Access implements HandlerInterceptor, WebMvcConfigurer {
    private final Crews crews;
    private final Accounts accounts;
    private final OrganisationMapper organisation;
    private final AuditLog audit;

    Access(Crews crews, Accounts accounts, OrganisationMapper organisation, AuditLog audit) {
        this.crews = crews;
        this.accounts = accounts;
        this.organisation = organisation;
        this.audit = audit;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).addPathPatterns("/api/**");
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (handler instanceof HandlerMethod method && method.getMethodAnnotation(Anyone.class) == null) {
            Optional<Refusal> refusal = Optional.ofNullable(method.getMethodAnnotation(Allowed.class))
                    .map(allowed -> refusal(request, allowed))
                    .orElseGet(() -> Optional.of(refused("not-allowed", "Nobody may do this.")));
            if (refusal.isPresent()) {
                if (refusal.get().status() != HttpStatus.UNAUTHORIZED) {
                    audit.note(Deed.REFUSED, site(request), request.getMethod() + " " + request.getRequestURI());
                }
                throw refusal.get();
            }
        }
        return true;
    }

    private Optional<Refusal> refusal(HttpServletRequest request, Allowed allowed) {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        if (who == null || who instanceof AnonymousAuthenticationToken) {
            return Optional.of(new Refusal(HttpStatus.UNAUTHORIZED, "signed-out", "Sign in first.", Map.of()));
        }
        Optional<AuditLog.Via> token = Optional.of(who)
                .map(Authentication::getDetails)
                .filter(AuditLog.Via.class::isInstance)
                .map(AuditLog.Via.class::cast);
        if (!Role.of(who).reaches(allowed.value())) {
            return Optional.of(refused(
                    "not-allowed",
                    allowed.value() == Role.ADMINISTRATOR
                            ? "Only an administrator may do this."
                            : "Your account may read this but not change it."));
        }
        if (token.isPresent() && allowed.bySession()) {
            return Optional.of(refused("not-by-token", "This is done by somebody who is signed in, not with a token."));
        }
        if (token.isPresent() && !token.get().changes() && allowed.value() != Role.OBSERVER && !reads(request)) {
            return Optional.of(refused("not-allowed", "This token reads and changes nothing."));
        }
        if (!allowed.beforeSecondFactor() && token.isEmpty() && wantsSecondFactor(who)) {
            return Optional.of(refused(
                    "second-factor-wanted",
                    "Your organisation asks for a second factor. Set it up under your account."));
        }
        String site = site(request);
        if (!site.isEmpty()) {
            Optional<Boolean> mayChange = crews.mayChange(site, who);
            if (mayChange.isEmpty()) {
                return Optional.of(Refusal.notFound("The site \"" + site + "\""));
            }
            if (allowed.value() != Role.OBSERVER && !mayChange.get()) {
                return Optional.of(refused("not-allowed", "In your crew you see this site but do not change it."));
            }
        }
        return Optional.empty();
    }

    private boolean wantsSecondFactor(Authentication who) {
        return organisation.get().secondFactorRequired()
                && accounts.find(who.getName()).secondFactor() == null;
    }

    private static boolean reads(HttpServletRequest request) {
        return request.getMethod().equals("GET");
    }

    @SuppressWarnings("unchecked")
    private static String site(HttpServletRequest request) {
        Map<String, String> variables =
                (Map<String, String>) request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE);
        return variables == null ? "" : variables.getOrDefault("siteId", "");
    }

    private static Refusal refused(String kind, String says) {
        return new Refusal(HttpStatus.FORBIDDEN, kind, says, Map.of());
    }
}
