package garden.vivarium.app.stock;

/** Whether pieces are taken from a plant that stays, or are material bought or given. */
public enum StockKind {
    PLANT("stock plant"),
    LOT("lot: material bought or given");

    private final String words;

    StockKind(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
