package app.chervil.server;

import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request;

import app.chervil.server.account.Account;
import app.chervil.server.account.AccountOperations;
import app.chervil.server.account.NewAccount;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A keeper's errands over HTTP, as tests tell them. Each keeper has a site of their own. */
public class TestSite {
    public static final String TANK = """
            {"name": "Brook", "room": "Lab", "netVolumeL": 220, "establishedOn": "2024-01-01",
             "setting": {"water": "FRESH", "stocking": "NORMAL", "feeding": "NORMAL", "bacteriaHome": "MEDIA",
                         "tapWater": "CHLORAMINE"},
             "schools": {"opening": "CONDITION_LED", "sock": "CLARITY", "rinse": "TANK_WATER", "thoroughness": "LIGHT"}}""";

    private final MockMvc mvc;
    private final AccountOperations accounts;
    private final JsonMapper json = JsonMapper.builder().build();

    public TestSite(MockMvc mvc, AccountOperations accounts) {
        this.mvc = mvc;
        this.accounts = accounts;
    }

    public SignedIn keeper() {
        return accounts.create("A site", person(), Role.KEEPER);
    }

    public SignedIn helperOf(SignedIn keeper) {
        return personOf(keeper, Role.HELPER);
    }

    public SignedIn personOf(SignedIn keeper, Role role) {
        Account added = accounts.add(keeper, person(), role);
        return new SignedIn(added.id(), keeper.siteId(), added.name(), role);
    }

    /** Asks without being signed in. */
    public ResultActions nobody(HttpMethod method, String path) throws Exception {
        return mvc.perform(request(method, path).with(csrf()));
    }

    public ResultActions send(SignedIn who, HttpMethod method, String path, String body) throws Exception {
        return mvc.perform(request(method, path)
                .with(csrf())
                .with(authentication(UsernamePasswordAuthenticationToken.authenticated(who, null, List.of())))
                .contentType(MediaType.APPLICATION_JSON)
                .content(body));
    }

    /** Sends a file as it is. */
    public ResultActions sendFile(SignedIn who, HttpMethod method, String path, MediaType type, byte[] file)
            throws Exception {
        return mvc.perform(request(method, path)
                .with(csrf())
                .with(authentication(UsernamePasswordAuthenticationToken.authenticated(who, null, List.of())))
                .contentType(type)
                .content(file));
    }

    public ResultActions get(SignedIn who, String path) throws Exception {
        return send(who, HttpMethod.GET, path, "");
    }

    public ResultActions post(SignedIn who, String path, String body) throws Exception {
        return send(who, HttpMethod.POST, path, body);
    }

    public ResultActions put(SignedIn who, String path, String body) throws Exception {
        return send(who, HttpMethod.PUT, path, body);
    }

    public ResultActions delete(SignedIn who, String path) throws Exception {
        return send(who, HttpMethod.DELETE, path, "");
    }

    public JsonNode read(ResultActions answer) throws Exception {
        return json.readTree(answer.andReturn().getResponse().getContentAsByteArray());
    }

    public long tank(SignedIn who) throws Exception {
        return read(post(who, "/api/tanks", TANK)).get("id").asLong();
    }

    /** A canister from its template, cleaned on a day. */
    public JsonNode canister(SignedIn who, long tank, String name, String careFrom) throws Exception {
        return read(post(who, "/api/tanks/" + tank + "/filters", canister(name, careFrom)));
    }

    public static String canister(String name, String careFrom) {
        return """
            {"name": "%s", "kind": "CANISTER", "direction": "BOTTOM_UP", "rating": {"flowLph": 900},
             "careFrom": "%s", "stages": [%s, %s, %s, %s]}""".formatted(
                        name,
                        careFrom,
                        stage("PREFILTER_SPONGE", "WASHABLE"),
                        stage("COARSE_FOAM", "WASHABLE"),
                        stage("FINE_PAD", "DISPOSABLE"),
                        stage("BIO_MEDIA", "WASHABLE"));
    }

    public static String stage(String kind, String make) {
        return """
            {"kind": "%s", "label": "", "quantity": 1, "make": "%s", "bagged": false}""".formatted(kind, make);
    }

    /** The id of the task by its name. */
    public static long task(JsonNode filter, String name) {
        return filter.get("tasks")
                .valueStream()
                .filter(task -> task.get("name").asString().equals(name))
                .findFirst()
                .orElseThrow()
                .get("id")
                .asLong();
    }

    private static NewAccount person() {
        String name = UUID.randomUUID().toString();
        return new NewAccount(name, name, "a long enough password");
    }
}
