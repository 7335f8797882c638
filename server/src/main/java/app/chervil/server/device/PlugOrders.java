package app.chervil.server.device;

/** The way orders reach plugs. */
interface PlugOrders {
    /**
     * Gives an order that holds for a moment only: one that cannot be delivered now must not switch anything later.
     *
     * @return whether it was taken for delivery
     */
    boolean give(long device, boolean on);
}
