package app.chervil.server.account;

import app.chervil.server.account.PasskeyMapper.PasskeyRow;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.webauthn.api.AuthenticatorAssertionResponse;
import org.springframework.security.web.webauthn.api.AuthenticatorAttestationResponse;
import org.springframework.security.web.webauthn.api.AuthenticatorSelectionCriteria;
import org.springframework.security.web.webauthn.api.Bytes;
import org.springframework.security.web.webauthn.api.PublicKeyCredential;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialCreationOptions;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRequestOptions;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRpEntity;
import org.springframework.security.web.webauthn.api.ResidentKeyRequirement;
import org.springframework.security.web.webauthn.api.UserVerificationRequirement;
import org.springframework.security.web.webauthn.jackson.WebauthnJacksonModule;
import org.springframework.security.web.webauthn.management.ImmutablePublicKeyCredentialCreationOptionsRequest;
import org.springframework.security.web.webauthn.management.ImmutablePublicKeyCredentialRequestOptionsRequest;
import org.springframework.security.web.webauthn.management.ImmutableRelyingPartyRegistrationRequest;
import org.springframework.security.web.webauthn.management.RelyingPartyAuthenticationRequest;
import org.springframework.security.web.webauthn.management.RelyingPartyPublicKey;
import org.springframework.security.web.webauthn.management.Webauthn4JRelyingPartyOperations;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Passkeys: a device's own proof in place of the password (W3C Web Authentication, checked by Spring Security). The device must
 * have made sure of its person, by finger, face or code.
 */
@Service
public class PasskeyOperations {
    static final int MOST = 20;

    private static final TypeReference<Map<String, Object>> OBJECT = new TypeReference<>() {};
    private static final TypeReference<PublicKeyCredential<AuthenticatorAttestationResponse>> MADE =
            new TypeReference<>() {};
    private static final TypeReference<PublicKeyCredential<AuthenticatorAssertionResponse>> SHOWN =
            new TypeReference<>() {};

    private final PasskeyMapper mapper;
    private final SignInOperations signIns;
    private final Throttle throttle;
    private final JsonMapper json =
            JsonMapper.builder().addModule(new WebauthnJacksonModule()).build();

    PasskeyOperations(PasskeyMapper mapper, SignInOperations signIns, Throttle throttle) {
        this.mapper = mapper;
        this.signIns = signIns;
        this.throttle = throttle;
    }

    /**
     * Under which the browser reached the server; a passkey is bound to it.
     *
     * @param name without its port
     * @param origin as a browser says it
     */
    record Reached(String name, String origin) {
        /** A number is no name, and no passkey is bound to one. */
        private boolean named() {
            return !name.matches("[0-9.]+|.*:.*");
        }
    }

    /**
     * A passkey of a person.
     *
     * @param id by which it is removed
     * @param server name of the server that it is for
     */
    record Passkey(
            String id,
            String label,
            String server,
            Instant madeAt,
            @Nullable Instant usedAt) {}

    /** A person's passkeys, oldest first. */
    @Transactional(readOnly = true)
    public List<Passkey> list(SignedIn who) {
        return mapper.list(signIns.login(who)).stream()
                .map(row -> new Passkey(id(row), row.label(), row.rpId(), row.madeAt(), row.usedAt()))
                .toList();
    }

    /**
     * What a device is asked in order to make a passkey.
     *
     * @param password of the person, so that nobody adds one at a screen left open
     * @throws Rejected if the password is wrong, or the server was reached by a number
     */
    public PublicKeyCredentialCreationOptions begin(SignedIn who, Reached reached, String password, String address) {
        String login = signIns.login(who);
        signIns.prove(login, password, address);
        if (mapper.list(login).size() >= MOST) {
            throw Rejected.field("label", "too-many", "At most 20 passkeys. Remove one first.");
        }
        Authentication person = UsernamePasswordAuthenticationToken.authenticated(login, null, List.of());
        return party(reached)
                .createPublicKeyCredentialCreationOptions(
                        new ImmutablePublicKeyCredentialCreationOptionsRequest(person));
    }

    /**
     * Keeps the passkey that a device made.
     *
     * @param asked what it was asked
     * @throws Rejected if it does not answer what was asked
     */
    @Transactional
    public void add(
            SignedIn who,
            Reached reached,
            PublicKeyCredentialCreationOptions asked,
            String label,
            Map<String, Object> made) {
        signIns.login(who);
        PublicKeyCredential<AuthenticatorAttestationResponse> credential = read(made, MADE);
        try {
            party(reached)
                    .registerCredential(new ImmutableRelyingPartyRegistrationRequest(
                            asked, new RelyingPartyPublicKey(credential, label.strip())));
        } catch (RuntimeException wrong) {
            throw notProven();
        }
    }

    /**
     * Removes one of a person's passkeys.
     *
     * @throws NotFound if the person has no such passkey
     */
    @Transactional
    public void remove(SignedIn who, String id) {
        byte[] credential;
        try {
            credential = Bytes.fromBase64(id).getBytes();
        } catch (IllegalArgumentException foreign) {
            throw new NotFound("passkey");
        }
        if (mapper.delete(signIns.login(who), credential) == 0) {
            throw new NotFound("passkey");
        }
    }

    /** What a device is asked in order to come in; it says itself who it is. */
    public PublicKeyCredentialRequestOptions ask(Reached reached) {
        return party(reached)
                .createCredentialRequestOptions(new ImmutablePublicKeyCredentialRequestOptionsRequest(null));
    }

    /**
     * Lets in whom a device vouches for, at the site where they were last.
     *
     * @throws Rejected if it does not answer what was asked, after too many failures, or if the person has no site left
     */
    public SignedIn signIn(
            Reached reached, PublicKeyCredentialRequestOptions asked, Map<String, Object> shown, String address) {
        throttle.check("credential", Throttle.CODES, address);
        PublicKeyCredential<AuthenticatorAssertionResponse> credential = read(shown, SHOWN);
        String login;
        try {
            login = party(reached)
                    .authenticate(new RelyingPartyAuthenticationRequest(asked, credential))
                    .getName();
        } catch (RuntimeException wrong) {
            throttle.failed(Throttle.CODES, address);
            throw notProven();
        }
        return signIns.lastPlace(login)
                .orElseThrow(() -> SignInOperations.refused(
                        "credential", "no-site", "Your sites are gone. Ask a keeper to invite you."));
    }

    /** Options as a browser takes them. */
    Map<String, Object> told(Object options) {
        return json.convertValue(options, OBJECT);
    }

    private <T> T read(Map<String, Object> given, TypeReference<T> type) {
        try {
            return json.convertValue(given, type);
        } catch (JacksonException | IllegalArgumentException unreadable) {
            throw notProven();
        }
    }

    private Webauthn4JRelyingPartyOperations party(Reached reached) {
        if (!reached.named()) {
            throw Rejected.field(
                    "",
                    "needs-a-name",
                    "A passkey is bound to a name, and this server was reached by a number. Use the password here.");
        }
        StoredPasskeys stored = new StoredPasskeys(mapper, reached.name());
        Webauthn4JRelyingPartyOperations party = new Webauthn4JRelyingPartyOperations(
                stored,
                stored,
                PublicKeyCredentialRpEntity.builder()
                        .id(reached.name())
                        .name("Chervil")
                        .build(),
                Set.of(reached.origin()));
        party.setCustomizeCreationOptions(
                options -> options.authenticatorSelection(AuthenticatorSelectionCriteria.builder()
                        .residentKey(ResidentKeyRequirement.REQUIRED)
                        .userVerification(UserVerificationRequirement.REQUIRED)
                        .build()));
        party.setCustomizeRequestOptions(options -> options.userVerification(UserVerificationRequirement.REQUIRED));
        return party;
    }

    private static String id(PasskeyRow row) {
        return new Bytes(row.credentialId()).toBase64UrlString();
    }

    static Rejected notProven() {
        return SignInOperations.refused("credential", "not-proven", "This passkey does not open it. Use the password.");
    }
}
