package app.chervil.server.stock;

import app.chervil.server.stock.StockItemInput.KitLine;
import java.util.List;

/** What a kit holds, as stored. */
record Kit(List<KitLine> lines) {}
