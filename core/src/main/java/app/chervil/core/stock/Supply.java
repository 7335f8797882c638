package app.chervil.core.stock;

import app.chervil.core.filter.Material;

/**
 * A thing that care uses, in the size its stage asks for.
 *
 * @param size as the keeper wrote it; empty where any will do
 */
public record Supply(Material material, String size) {

    /** A material for a stage; sizes of what fits anywhere are dropped. */
    public static Supply of(Material material, String sizeOfStage) {
        return new Supply(material, material.mustFit() ? sizeOfStage.strip() : "");
    }

    /** What it is called wherever it is carried, used or stored. */
    public String name() {
        return size.isEmpty() ? material.words() : material.words() + ", " + size;
    }
}
