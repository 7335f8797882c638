package app.chervil.server.account;

import app.chervil.server.account.PasskeyOperations.Passkey;
import app.chervil.server.account.PasskeyOperations.Reached;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialCreationOptions;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRequestOptions;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Passkeys over HTTP. What a device was asked waits in the session, and is good for one answer. */
@RestController
@RequestMapping("/api")
class PasskeyController {
    private static final String ASKED = "passkey-asked";
    private static final int SECONDS_OF_PATIENCE = 600;
    private static final Map<String, Integer> PORTS = Map.of("http", 80, "https", 443);

    private final PasskeyOperations operations;
    private final SignInDesk desk;

    PasskeyController(PasskeyOperations operations, SignInDesk desk) {
        this.operations = operations;
        this.desk = desk;
    }

    @GetMapping("/own/passkeys")
    List<Passkey> passkeys(@AuthenticationPrincipal SignedIn who) {
        return operations.list(who);
    }

    /** What the device is to be asked. */
    @PostMapping("/own/passkeys/options")
    Map<String, Object> begin(
            @AuthenticationPrincipal SignedIn who, @Valid @RequestBody Proof proof, HttpServletRequest request) {
        PublicKeyCredentialCreationOptions options =
                operations.begin(who, reached(request), proof.password(), request.getRemoteAddr());
        request.getSession().setAttribute(ASKED, options);
        return operations.told(options);
    }

    @PostMapping("/own/passkeys")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void add(@AuthenticationPrincipal SignedIn who, @Valid @RequestBody NewPasskey input, HttpServletRequest request) {
        PublicKeyCredentialCreationOptions asked = asked(request, PublicKeyCredentialCreationOptions.class);
        operations.add(who, reached(request), asked, input.label(), input.credential());
    }

    @DeleteMapping("/own/passkeys/{passkey}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@AuthenticationPrincipal SignedIn who, @PathVariable String passkey) {
        operations.remove(who, passkey);
    }

    /** What a device is to be asked by somebody who wants to come in. */
    @PostMapping("/passkey-options")
    Map<String, Object> ask(HttpServletRequest request) {
        PublicKeyCredentialRequestOptions options = operations.ask(reached(request));
        boolean stranger = request.getSession(false) == null;
        HttpSession session = request.getSession();
        if (stranger) {
            session.setMaxInactiveInterval(SECONDS_OF_PATIENCE);
        }
        session.setAttribute(ASKED, options);
        return operations.told(options);
    }

    @PostMapping("/passkey-session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signIn(@Valid @RequestBody Shown input, HttpServletRequest request, HttpServletResponse response) {
        PublicKeyCredentialRequestOptions asked = asked(request, PublicKeyCredentialRequestOptions.class);
        SignedIn who = operations.signIn(reached(request), asked, input.credential(), request.getRemoteAddr());
        desk.admit(who, request, response);
    }

    private static <T> T asked(HttpServletRequest request, Class<T> type) {
        Optional<HttpSession> session = Optional.ofNullable(request.getSession(false));
        Optional<Object> asked = session.map(one -> one.getAttribute(ASKED));
        session.ifPresent(one -> one.removeAttribute(ASKED));
        return asked.filter(type::isInstance).map(type::cast).orElseThrow(PasskeyOperations::notProven);
    }

    private static Reached reached(HttpServletRequest request) {
        String scheme = request.getScheme();
        int port = request.getServerPort();
        boolean usual = port == PORTS.getOrDefault(scheme, 0);
        return new Reached(
                request.getServerName(), scheme + "://" + request.getServerName() + (usual ? "" : ":" + port));
    }

    record Proof(
            @NotBlank(message = "Type your password.") @Size(max = 200, message = "At most 200 characters.")
            String password) {}

    /**
     * A passkey that a device made.
     *
     * @param credential as the browser says it in JSON
     */
    record NewPasskey(
            @NotBlank(message = "Say which device this is.")
            @Size(max = 60, message = "At most 60 characters.")
            @Pattern(regexp = NewAccount.TO_BE_SEEN, message = "This holds characters that cannot be seen.")
            String label,

            @NotNull(message = "The device’s answer is missing.")
            Map<String, Object> credential) {}

    /**
     * A device's answer.
     *
     * @param credential as the browser says it in JSON
     */
    record Shown(
            @NotNull(message = "The device’s answer is missing.")
            Map<String, Object> credential) {}
}
