package app.chervil.server.demo;

import app.chervil.core.passport.Build;
import app.chervil.core.passport.Chamber;
import app.chervil.core.passport.OwnStep;
import app.chervil.core.passport.Place;
import app.chervil.core.passport.Place.Packing;
import app.chervil.server.filter.PassportInput;
import app.chervil.server.filter.PassportInput.ChamberInput;
import app.chervil.server.filter.PassportInput.ContentInput;
import app.chervil.server.filter.PassportInput.OwnStepInput;
import app.chervil.server.filter.PassportInput.PlaceInput;
import java.util.List;

/** What sits where in the canisters of the demo; numbers count through the water path of each. */
final class DemoPassports {
    private DemoPassports() {}

    /** Bottom-up: foams and pad share the bottom tray, the media has two trays above. */
    static PassportInput weir() {
        return canister(
                Build.Fill.OPEN_TOP,
                Build.Pump.HEAD,
                List.of(new OwnStepInput(OwnStep.Moment.OPEN, false, "Lay the head on its towel, impeller up.")),
                tray("the top tray", true, 4, bag(6, 1.6)),
                tray("the bottom tray", false, 4, sheet(5), sheet(4), sheet(3)));
    }

    /** Top-down: the foams lie on top, within reach; the pump sits under everything. */
    static PassportInput creek() {
        return canister(
                Build.Fill.SELF,
                Build.Pump.BASE,
                List.of(),
                tray("the top tray", true, 5, sheet(2), sheet(3)),
                tray("the bottom tray", false, 5, bag(4, 2.2)));
    }

    /** Bottom-up and heavy; it is carried out of its cupboard. */
    static PassportInput mudlark() {
        PassportInput heavy = canister(
                Build.Fill.OPEN_TOP,
                Build.Pump.HEAD,
                List.of(new OwnStepInput(OwnStep.Moment.STOP, true, "See that both sliders are away from the intake.")),
                tray("the top tray", true, 6, loose(4, 3.4, 16)),
                tray("the foam tray", false, 6, sheet(3), sheet(2)));
        return new PassportInput(
                heavy.shutOff(),
                heavy.fill(),
                Build.Purge.AT_START,
                heavy.purgesADay(),
                heavy.ports(),
                heavy.latches(),
                heavy.wiggle(),
                heavy.pump(),
                heavy.ventTube(),
                true,
                true,
                false,
                2.4,
                19.0,
                heavy.heater(),
                heavy.lamp(),
                heavy.dryGripSock(),
                "Lid ring, impeller",
                heavy.chambers(),
                heavy.ownSteps());
    }

    private static PassportInput canister(
            Build.Fill fill, Build.Pump pump, List<OwnStepInput> own, PlaceInput... trays) {
        return new PassportInput(
                Build.ShutOff.VALVES,
                fill,
                Build.Purge.NONE,
                0,
                Build.Ports.LID,
                4,
                true,
                pump,
                false,
                false,
                false,
                true,
                1.8,
                16.0,
                Build.HeaterPlace.TANK,
                Build.LampPlace.LID,
                false,
                "",
                List.of(new ChamberInput("", Chamber.Access.SEALED, List.of(trays))),
                own);
    }

    private static PlaceInput tray(String name, boolean emptiedInPlace, double holeMm, ContentInput... contents) {
        return new PlaceInput(name, Place.Kind.TRAY, emptiedInPlace, null, holeMm, List.of(contents));
    }

    private static ContentInput sheet(int stage) {
        return new ContentInput(stage, Packing.SHEET, null, null);
    }

    private static ContentInput bag(int stage, double litres) {
        return new ContentInput(stage, Packing.BAG, litres, null);
    }

    private static ContentInput loose(int stage, double litres, double grainMm) {
        return new ContentInput(stage, Packing.LOOSE, litres, grainMm);
    }
}
