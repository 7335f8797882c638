package app.chervil.server.account;

import jakarta.servlet.http.HttpServletRequest;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.http.server.PathContainer;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.authorization.AuthorizationManager;
import org.springframework.security.authorization.AuthorizationResult;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.access.intercept.RequestAuthorizationContext;
import org.springframework.stereotype.Component;
import org.springframework.web.util.pattern.PathPattern;
import org.springframework.web.util.pattern.PathPatternParser;

/** Holds each request against its line in the table of rights, and remembers which one it was. */
@Component
class Rights implements AuthorizationManager<RequestAuthorizationContext> {
    private static final String FOUND = Rights.class.getName() + ".claim";
    private static final String PERSON = Rights.class.getName() + ".person";

    private final AccountMapper mapper;
    private final Map<String, List<Line>> lines = new HashMap<>();

    Rights(AccountMapper mapper) {
        this.mapper = mapper;
        RightsTable.ALL.forEach(right -> lines.computeIfAbsent(right.method(), method -> new ArrayList<>())
                .add(new Line(PathPatternParser.defaultInstance.parse(right.path()), right)));
        lines.values().forEach(some -> some.sort(Comparator.comparing(Line::pattern)));
    }

    @Override
    public AuthorizationResult authorize(
            Supplier<? extends @Nullable Authentication> asking, RequestAuthorizationContext context) {
        HttpServletRequest request = context.getRequest();
        Optional<Claim> claim = claim(request);
        claim.ifPresent(one -> request.setAttribute(FOUND, one));
        Authentication given = asking.get();
        Optional<SignedIn> who = given != null && given.getPrincipal() instanceof SignedIn person
                ? Optional.of(person)
                : Optional.empty();
        who.ifPresent(person -> request.setAttribute(PERSON, person));
        return new AuthorizationDecision(claim.filter(one -> allowed(who, one)).isPresent());
    }

    /** What this request claims to do, if its line was found. */
    static Optional<Claim> of(HttpServletRequest request) {
        return Optional.ofNullable((Claim) request.getAttribute(FOUND));
    }

    /** Who asks, if that was found out already. */
    static Optional<SignedIn> person(HttpServletRequest request) {
        return Optional.ofNullable((SignedIn) request.getAttribute(PERSON));
    }

    private Optional<Claim> claim(HttpServletRequest request) {
        PathContainer path = PathContainer.parsePath(request.getRequestURI());
        String method = request.getMethod().equals("HEAD") ? "GET" : request.getMethod();
        return lines.getOrDefault(method, List.of()).stream()
                .flatMap(line -> Optional.ofNullable(line.pattern().matchAndExtract(path)).stream()
                        .map(found -> new Claim(line.right(), found.getUriVariables())))
                .findFirst();
    }

    private boolean allowed(Optional<SignedIn> who, Claim claim) {
        Right right = claim.right();
        if (right.least() == Right.Least.ANYBODY) {
            return true;
        }
        return who.filter(person -> switch (person.role()) {
                    case KEEPER -> true;
                    case HELPER ->
                        right.least() != Right.Least.KEEPER
                                && (right.least() != Right.Least.AUTHOR || wrote(person, claim));
                    case VIEWER -> right.least() == Right.Least.VIEWER || right.least() == Right.Least.PERSON;
                })
                .isPresent();
    }

    private boolean wrote(SignedIn who, Claim claim) {
        return mapper.findWrote(who.siteId(), who.accountId(), claim.right().relation(), claim.subject());
    }

    private record Line(PathPattern pattern, Right right) {}

    /**
     * A request and its line.
     *
     * @param variables of its path
     */
    record Claim(Right right, Map<String, String> variables) {
        /** What it is about: the last variable of its path, as it was given; empty if it has none. */
        String subject() {
            String path = right.path();
            int from = path.lastIndexOf('{');
            String last = from < 0 ? "" : variables.getOrDefault(path.substring(from + 1, path.indexOf('}', from)), "");
            return last.substring(0, Math.min(last.length(), 80));
        }
    }
}
