package app.chervil.server.account;

import static app.chervil.server.account.Right.Least.ANYBODY;
import static app.chervil.server.account.Right.Least.AUTHOR;
import static app.chervil.server.account.Right.Least.HELPER;
import static app.chervil.server.account.Right.Least.KEEPER;
import static app.chervil.server.account.Right.Least.PERSON;
import static app.chervil.server.account.Right.Least.VIEWER;

import java.util.List;

/**
 * Who may ask for what: each operation of the API has its line, and one that has none is refused. The last words are what
 * the log of deeds says of it; empty where nothing is changed, or where a step of many is not worth a line.
 */
final class RightsTable {
    static final List<Right> ALL = List.of(
            // Coming in and going out
            ask("/api/session", ANYBODY),
            post("/api/session", ANYBODY, ""),
            delete("/api/session", ANYBODY, ""),
            put("/api/session/site", PERSON, ""),
            post("/api/setup", ANYBODY, ""),
            post("/api/demo-session/{login}", ANYBODY, ""),
            post("/api/invitation-look", ANYBODY, ""),
            post("/api/joining", ANYBODY, ""),
            post("/api/recovery", ANYBODY, ""),
            post("/api/passkey-options", ANYBODY, ""),
            post("/api/passkey-session", ANYBODY, ""),
            // A person's own
            put("/api/own/password", PERSON, "changed their password"),
            ask("/api/own/passkeys", PERSON),
            post("/api/own/passkeys/options", PERSON, ""),
            post("/api/own/passkeys", PERSON, "added a passkey"),
            delete("/api/own/passkeys/{passkey}", PERSON, "removed a passkey"),
            ask("/api/own/sessions", PERSON),
            delete("/api/own/sessions/{mark}", PERSON, "ended one of their sessions"),
            post("/api/own/sites", PERSON, ""),
            post("/api/own/sites/{site}/return", PERSON, ""),
            delete("/api/own/place", PERSON, "left the site"),
            // People and the site
            ask("/api/accounts", VIEWER),
            put("/api/accounts/{account}/role", KEEPER, "changed what somebody may do"),
            delete("/api/accounts/{account}", KEEPER, "removed somebody"),
            post("/api/accounts/{account}/recovery", KEEPER, "made a code for a new password"),
            ask("/api/invitations", KEEPER),
            post("/api/invitations", KEEPER, "invited somebody"),
            delete("/api/invitations/{mark}", KEEPER, "took an invitation back"),
            ask("/api/deeds", KEEPER),
            post("/api/site/deletion", KEEPER, "deleted the site"),
            put("/api/units", KEEPER, "changed the units"),
            ask("/api/backup", KEEPER),
            ask("/api/house", KEEPER),
            ask("/api/archive.zip", KEEPER),
            post("/api/archive/preview", KEEPER, ""),
            post("/api/archive", KEEPER, "brought in an archive"),
            // What is known everywhere
            ask("/api/vocabulary", VIEWER),
            ask("/api/engine-facts", VIEWER),
            ask("/api/filter-templates", VIEWER),
            ask("/api/condition-questions", VIEWER),
            ask("/api/parameters", VIEWER),
            post("/api/parameters", KEEPER, "added a parameter"),
            ask("/api/test-methods", VIEWER),
            put("/api/test-methods", KEEPER, "changed a test method"),
            put("/api/tap", KEEPER, "described the tap water"),
            ask("/api/eye", VIEWER),
            put("/api/eye", KEEPER, "said how findings are judged"),
            // Tanks and filters
            ask("/api/tanks", VIEWER),
            post("/api/tanks", KEEPER, "added a tank"),
            ask("/api/tanks/deleted", VIEWER),
            ask("/api/tanks/{tank}", VIEWER),
            put("/api/tanks/{tank}", KEEPER, "changed a tank"),
            delete("/api/tanks/{tank}", KEEPER, "deleted a tank"),
            post("/api/tanks/{tank}/restore", KEEPER, "brought a tank back"),
            ask("/api/tanks/{tank}/changes", VIEWER),
            ask("/api/tanks/{tank}/filters", VIEWER),
            post("/api/tanks/{tank}/filters", KEEPER, "added a filter"),
            ask("/api/filters", VIEWER),
            ask("/api/filters/{filter}", VIEWER),
            put("/api/filters/{filter}", KEEPER, "changed a filter"),
            delete("/api/filters/{filter}", KEEPER, "took a filter out of use"),
            post("/api/filters/{filter}/restore", KEEPER, "put a filter back into use"),
            put("/api/filters/{filter}/last-cleaned", KEEPER, "said when a filter was last cleaned"),
            put("/api/tasks/{task}", KEEPER, "set how often a task is done"),
            // What is due
            ask("/api/rounds", VIEWER),
            ask("/api/forecasts", VIEWER),
            ask("/api/tanks/{tank}/tasks/{task}/story", VIEWER),
            ask("/api/tanks/{tank}/tasks-done", VIEWER),
            ask("/api/tanks/{tank}/around", VIEWER),
            // Services
            ask("/api/services", VIEWER),
            ask("/api/services/{service}", VIEWER),
            ask("/api/tanks/{tank}/services", VIEWER),
            put("/api/services/{service}", HELPER, "logged a service"),
            put("/api/services/{service}/answers", HELPER, "answered what a service asked"),
            author(post("/api/services/{service}/corrections", AUTHOR, "corrected a service"), "service"),
            author(delete("/api/services/{service}", AUTHOR, "withdrew a service"), "service"),
            author(post("/api/services/{service}/restore", AUTHOR, "put a service back"), "service"),
            post("/api/services/{service}/twins/{other}", KEEPER, "made one of two services"),
            post("/api/tanks/{tank}/notebook/key", KEEPER, ""),
            post("/api/tanks/{tank}/notebook/preview", KEEPER, ""),
            post("/api/tanks/{tank}/notebook", KEEPER, "brought old notes in"),
            ask("/api/services/{service}/photos", VIEWER),
            put("/api/services/{service}/photos/{photo}", HELPER, "added a photo"),
            ask("/api/photos/{photo}", VIEWER),
            author(delete("/api/photos/{photo}", AUTHOR, "deleted a photo"), "photo"),
            ask("/api/filters/{filter}/procedure", VIEWER),
            ask("/api/filters/{filter}/set-up", VIEWER),
            ask("/api/guided-services", VIEWER),
            ask("/api/guided-services/{guided}", VIEWER),
            put("/api/guided-services/{guided}", HELPER, "began a service"),
            author(delete("/api/guided-services/{guided}", AUTHOR, "dropped a service"), "guided_service"),
            post("/api/guided-services/{guided}/events", HELPER, ""),
            post("/api/guided-services/{guided}/running", HELPER, "saw a filter running"),
            post("/api/guided-services/{guided}/finish", HELPER, "finished a service"),
            put("/api/follow-ups/{followUp}/done", HELPER, "did what a chore left to do"),
            delete("/api/follow-ups/{followUp}/done", HELPER, "took back what was done after a chore"),
            // Looks, pauses, chores
            ask("/api/tanks/{tank}/looks", VIEWER),
            put("/api/looks/{look}", HELPER, "noted a look"),
            author(delete("/api/looks/{look}", AUTHOR, "removed a look"), "stage_look"),
            ask("/api/tanks/{tank}/pauses", VIEWER),
            put("/api/tanks/{tank}/pauses/{pause}", KEEPER, "paused care"),
            put("/api/pauses/{pause}/end", KEEPER, "ended a pause"),
            delete("/api/pauses/{pause}", KEEPER, "removed a pause"),
            ask("/api/tanks/{tank}/chores", VIEWER),
            put("/api/tanks/{tank}/chores/{kind}", KEEPER, "set a chore"),
            put("/api/chores-done/{id}", HELPER, "logged a chore"),
            author(delete("/api/chores-done/{id}", AUTHOR, "withdrew a chore"), "chore_done"),
            // Water
            ask("/api/tanks/{tank}/water", VIEWER),
            ask("/api/tanks/{tank}/watches", VIEWER),
            ask("/api/tanks/{tank}/tap", VIEWER),
            ask("/api/tanks/{tank}/series", VIEWER),
            ask("/api/tanks/{tank}/readings", VIEWER),
            ask("/api/tanks/{tank}/readings.csv", VIEWER),
            post("/api/tanks/{tank}/readings", HELPER, "kept readings"),
            post("/api/tanks/{tank}/readings/doubts", VIEWER, ""),
            post("/api/tanks/{tank}/readings/import-preview", KEEPER, ""),
            post("/api/tanks/{tank}/readings/import", KEEPER, "imported readings"),
            author(delete("/api/readings/{id}", AUTHOR, "removed a reading"), "reading"),
            author(post("/api/readings/{id}/restore", AUTHOR, "put a reading back"), "reading"),
            ask("/api/tanks/{tank}/water-changes", VIEWER),
            put("/api/tanks/{tank}/water-changes/{id}", HELPER, "logged a water change"),
            author(delete("/api/water-changes/{id}", AUTHOR, "removed a water change"), "water_change"),
            author(post("/api/water-changes/{id}/restore", AUTHOR, "put a water change back"), "water_change"),
            ask("/api/tanks/{tank}/medications", VIEWER),
            post("/api/tanks/{tank}/medications", KEEPER, "began a medication"),
            put("/api/tanks/{tank}/medications/{id}/end", KEEPER, "ended a medication"),
            ask("/api/tanks/{tank}/condition-checks", VIEWER),
            put("/api/tanks/{tank}/condition-checks/{id}", HELPER, "checked a tank’s condition"),
            post("/api/tanks/{tank}/media-verdict", VIEWER, ""),
            ask("/api/tanks/{tank}/media-replacements", VIEWER),
            put("/api/tanks/{tank}/media-replacements/{id}", HELPER, "logged new media"),
            author(delete("/api/media-replacements/{id}", AUTHOR, "removed new media"), "media_replacement"),
            ask("/api/filters-compared", VIEWER),
            // Media with its history
            ask("/api/media", VIEWER),
            ask("/api/media/{piece}", VIEWER),
            put("/api/media/{piece}", HELPER, "took media on record"),
            put("/api/media/{piece}/name", HELPER, "renamed media"),
            author(delete("/api/media/{piece}", AUTHOR, "took media off record"), "media_piece"),
            post("/api/media/{piece}/advice", VIEWER, ""),
            put("/api/media/{piece}/moves/{move}", HELPER, "moved media"),
            author(delete("/api/media-moves/{move}", AUTHOR, "took a move of media back"), "media_move"),
            ask("/api/tanks/{tank}/exchanges", VIEWER),
            post("/api/tanks/{tank}/exchange-plan", VIEWER, ""),
            put("/api/tanks/{tank}/exchanges/{exchange}", KEEPER, "began an exchange of media"),
            delete("/api/exchanges/{exchange}", KEEPER, "stopped an exchange of media"),
            ask("/api/quarantine-tanks", VIEWER),
            put("/api/tanks/{tank}/quarantine", KEEPER, "said whether a tank is for quarantine"),
            // Plan, people's time, calendars and mail
            ask("/api/plan", VIEWER),
            post("/api/plan/prices", VIEWER, ""),
            post("/api/plan/decisions", KEEPER, "changed the plan"),
            delete("/api/plan/decisions/last", KEEPER, "undid a change of the plan"),
            ask("/api/plan/time", VIEWER),
            put("/api/plan/time/people/{account}", KEEPER, "changed somebody’s time"),
            post("/api/plan/time/exceptions", KEEPER, "added days off"),
            delete("/api/plan/time/exceptions/{id}", KEEPER, "removed days off"),
            put("/api/plan/time/helpers", KEEPER, "said what helpers do"),
            ask("/api/plan/calendar.ics", VIEWER),
            ask("/api/calendars", VIEWER),
            post("/api/calendars", VIEWER, "made a calendar link"),
            delete("/api/calendars/{id}", VIEWER, "took a calendar link back"),
            ask("/api/digest", VIEWER),
            put("/api/digest", VIEWER, "chose their mails"),
            delete("/api/digest", VIEWER, "ended their mails"),
            ask("/api/digest/caught", VIEWER),
            post("/api/futures", HELPER, ""),
            ask("/api/futures/{future}", VIEWER),
            delete("/api/futures/{future}", HELPER, ""),
            // Devices and what they are alarmed about
            post("/api/device-readings", ANYBODY, ""),
            ask("/api/devices", VIEWER),
            post("/api/devices", KEEPER, "fitted a device"),
            put("/api/devices/{device}", KEEPER, "changed a device"),
            delete("/api/devices/{device}", KEEPER, "took a device off"),
            post("/api/devices/{device}/token", KEEPER, "made a new token for a device"),
            put("/api/devices/{device}/tested", HELPER, "tried a device out"),
            post("/api/devices/{device}/switch", HELPER, "switched a plug"),
            ask("/api/devices/{device}/series", VIEWER),
            ask("/api/alerts", VIEWER),
            ask("/api/alerts/stream", VIEWER),
            put("/api/alerts/{alert}/seen", HELPER, "saw an alert"),
            put("/api/alerts/{alert}/quiet", HELPER, "silenced an alert"),
            post("/api/alerts/{alert}/usual", HELPER, "took what a device reads as usual"),
            delete("/api/alerts/{alert}/service", HELPER, "took back what a button logged"),
            ask("/api/alert-mail", VIEWER),
            put("/api/alert-mail", VIEWER, "chose mails for alerts"),
            delete("/api/alert-mail", VIEWER, "ended mails for alerts"),
            ask("/api/stand-ins", VIEWER),
            post("/api/stand-ins", HELPER, ""),
            // Stores
            ask("/api/stores", VIEWER),
            post("/api/stores/items", KEEPER, "added to the stores"),
            put("/api/stores/items/{id}", KEEPER, "changed a thing in the stores"),
            delete("/api/stores/items/{id}", KEEPER, "removed a thing from the stores"),
            post("/api/stores/items/{id}/restore", KEEPER, "put a thing back into the stores"),
            ask("/api/stores/items/{id}/moves", VIEWER),
            put("/api/stores/moves/{id}", HELPER, "counted or bought stock"),
            author(delete("/api/stores/moves/{id}", AUTHOR, "withdrew a count of stock"), "stock_move"),
            put("/api/stores/openings/{id}", HELPER, "opened a kit"),
            // Bench
            ask("/api/sums", VIEWER),
            post("/api/sums/{name}", VIEWER, ""),
            ask("/api/tanks/{tank}/sums", VIEWER),
            put("/api/tanks/{tank}/sums/{name}", HELPER, ""),
            ask("/api/sum-rules", VIEWER),
            put("/api/sum-rules/{key}", KEEPER, "changed a rule of the sums"),
            delete("/api/sum-rules/{key}", KEEPER, "took back a rule of the sums"),
            ask("/api/vessels", VIEWER),
            put("/api/vessels/{id}", HELPER, "described a bucket or cap"),
            delete("/api/vessels/{id}", KEEPER, "removed a bucket or cap"),
            put("/api/tanks/{tank}/events/{id}", HELPER, "told what else changed in a tank"),
            author(delete("/api/tank-events/{id}", AUTHOR, "took back what changed in a tank"), "tank_event"),
            author(post("/api/tank-events/{id}/restore", AUTHOR, "put back what changed in a tank"), "tank_event"),
            post("/api/trials/{id}/swap", KEEPER, "swapped the ways of a trial"),
            delete("/api/trials/{id}/swap", KEEPER, "took a swap of ways back"),
            ask("/api/trials", VIEWER),
            ask("/api/trials/table.csv", VIEWER),
            post("/api/trials/forethought", VIEWER, ""),
            put("/api/trials/{id}", KEEPER, "began a trial"),
            post("/api/trials/{id}/stop", KEEPER, "stopped a trial"),
            post("/api/trials/{id}/resume", KEEPER, "resumed a trial"),
            put("/api/trials/{id}/adopted", KEEPER, "adopted what a trial found"),
            post("/api/trials/{id}/adopted/undo", KEEPER, "went back from what a trial found"),
            delete("/api/trials/{id}", KEEPER, "removed a trial"),
            // Trouble
            ask("/api/trouble-network", VIEWER),
            ask("/api/trouble-rates", VIEWER),
            put("/api/trouble-rates/anew", KEEPER, "counted cases anew"),
            delete("/api/trouble-rates/anew", KEEPER, "counted all cases again"),
            ask("/api/trouble-cases", VIEWER),
            ask("/api/trouble-cases/{id}", VIEWER),
            put("/api/trouble-cases/{id}", HELPER, "began a case of trouble"),
            author(delete("/api/trouble-cases/{id}", AUTHOR, "removed a case of trouble"), "trouble_case"),
            post("/api/trouble-cases/{id}/events", HELPER, ""),
            put("/api/trouble-cases/{id}/left", HELPER, "left a case of trouble"),
            delete("/api/trouble-cases/{id}/left", HELPER, "went on with a case of trouble"),
            put("/api/trouble-cases/{id}/bearing", KEEPER, "said what a fault means for dates"),
            put("/api/trouble-cases/{id}/reminder", HELPER, "asked to be reminded of a case"));

    private RightsTable() {}

    private static Right ask(String path, Right.Least least) {
        return new Right("GET", path, least, "", "");
    }

    private static Right put(String path, Right.Least least, String deed) {
        return new Right("PUT", path, least, deed, "");
    }

    private static Right post(String path, Right.Least least, String deed) {
        return new Right("POST", path, least, deed, "");
    }

    private static Right delete(String path, Right.Least least, String deed) {
        return new Right("DELETE", path, least, deed, "");
    }

    /** What the keeper may do, and a helper to rows of this table that they wrote. */
    private static Right author(Right right, String relation) {
        return new Right(right.method(), right.path(), right.least(), right.deed(), relation);
    }
}
