package app.chervil.server.demo;

import app.chervil.core.passport.Build;
import app.chervil.core.passport.Chamber;
import app.chervil.core.passport.Place;
import app.chervil.core.passport.Place.Packing;
import app.chervil.server.filter.PassportInput;
import app.chervil.server.filter.PassportInput.ChamberInput;
import app.chervil.server.filter.PassportInput.ContentInput;
import app.chervil.server.filter.PassportInput.OwnStepInput;
import app.chervil.server.filter.PassportInput.PlaceInput;
import java.util.List;

/** What sits where in a canister; numbers count through its water path. */
final class DemoPassports {
    private DemoPassports() {}

    static PassportInput canister(Build.Fill fill, Build.Pump pump, List<OwnStepInput> own, PlaceInput... trays) {
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

    static PlaceInput tray(String name, boolean emptiedInPlace, double holeMm, ContentInput... contents) {
        return new PlaceInput(name, Place.Kind.TRAY, emptiedInPlace, null, holeMm, List.of(contents));
    }

    static ContentInput sheet(int stage) {
        return new ContentInput(stage, Packing.SHEET, null, null);
    }

    static ContentInput bag(int stage, double litres) {
        return new ContentInput(stage, Packing.BAG, litres, null);
    }

    static ContentInput loose(int stage, double litres, double grainMm) {
        return new ContentInput(stage, Packing.LOOSE, litres, grainMm);
    }
}
