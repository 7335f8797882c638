package app.chervil.core.procedure;

/** Dangers of the work, in the words shown in the step they belong to (docs/sources.md#procedures). */
public enum Caution {
    ELECTRICITY(
            "Unplug before hands go into the water, and plug in with dry hands. Each cord needs a drip loop, the socket a"
                    + " residual-current device. Replace a damaged cord; fixed wiring is for a licensed electrician under local code."),
    UV_LIGHT(
            "UV light blinds and burns: never lit outside its housing, never looked at. The maker's manual comes first."),
    MERCURY("The lamp holds mercury. If it breaks, leave and air the room, no vacuum cleaner, and follow local"
            + " hazardous-waste rules."),
    GLASS("Quartz and glass cut. Hold it with a cloth, and do not force it."),
    SHARP("Blades cut, wet hands slip. Cut away from yourself, on a firm ground."),
    BLEACH(
            "Plain bleach only, and never with vinegar, acid or ammonia. Gloves, eye protection, open air. Not for resins"
                    + " whose label forbids it."),
    VINEGAR("Never together with bleach: the gas is poisonous. Rinse well before the part goes back."),
    GERMS(
            "Tank water can carry germs that make people ill. Gloves on broken skin, not in the kitchen sink, wash hands after."),
    SALMONELLA(
            "Turtles, frogs and newts carry salmonella even when they look well. Gloves, no kitchen sink and nothing near"
                    + " food. Wash hands with soap after, and keep small children and anyone frail away from the work."),
    SIPHON("Start a siphon by filling the hose, never by mouth."),
    HEAVY("A full canister is heavy. Empty it where it stands, then lift."),
    FLOOD(
            "Without valves a siphon stands in the hoses: pulled off below the water line they empty the tank onto the floor."),
    WET_FLOOR("Wet floors are slippery. Wipe as you go."),
    GAS(
            "Deep sand may give off hydrogen sulphide, which smells of rotten eggs. Go slowly, in parts, and air the room.");

    private final String words;

    Caution(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
