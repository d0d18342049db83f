package garden.vivarium.app.stock;

import garden.vivarium.app.platform.Named;

/** Whether pieces are taken from a plant that stays, or are material bought or given. */
public enum StockKind implements Named {
    PLANT,
    LOT;
}
