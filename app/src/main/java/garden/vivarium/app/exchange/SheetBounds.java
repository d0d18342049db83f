package garden.vivarium.app.exchange;

import garden.vivarium.app.platform.Messages;
import java.io.InputStream;
import java.math.BigDecimal;
import java.util.Locale;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * Looks through a sheet of an .xlsx before its reader does, which makes room for whatever row, column or number the sheet names: a file of a
 * kilobyte may name the thousand-millionth.
 */
final class SheetBounds {

    private static final int LETTERS = 26;

    private final XMLStreamReader xml;
    private final StringBuilder text = new StringBuilder();
    private long row;
    private String cell = "";
    private boolean isNumber;
    private boolean isText;

    private SheetBounds(XMLStreamReader xml) {
        this.xml = xml;
    }

    /**
     * Looks a sheet, or the words that sheets share, through.
     *
     * @throws FileRefused naming what lies beyond what is read
     */
    static void refuse(InputStream sheet, XMLInputFactory factory) {
        try {
            new SheetBounds(factory.createXMLStreamReader(sheet)).lookThrough();
        } catch (XMLStreamException e) {
            throw new FileRefused(Messages.text("SheetBounds.unreadable"));
        }
    }

    private void lookThrough() throws XMLStreamException {
        while (xml.hasNext()) {
            switch (xml.next()) {
                case XMLStreamConstants.START_ELEMENT -> begin(xml.getLocalName());
                case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA -> add();
                case XMLStreamConstants.END_ELEMENT -> end(xml.getLocalName());
                default -> {}
            }
        }
    }

    private void begin(String element) {
        switch (element) {
            case "row" -> row = rowNumber();
            case "c" -> {
                cell = attribute("r").isEmpty() ? Messages.text("SheetBounds.row", "row", row) : attribute("r");
                refuseColumn(attribute("r"));
                isNumber = attribute("t").isEmpty() || attribute("t").equals("n");
            }
            case "v", "t" -> {
                isText = true;
                text.setLength(0);
                if (element.equals("v") && row > Caps.LINES + 1) {
                    throw new FileRefused(Messages.text("SheetBounds.row.beyond", "row", row, "most", Caps.LINES));
                }
            }
            default -> {}
        }
    }

    private long rowNumber() {
        String said = attribute("r");
        long number = said.isEmpty() ? row + 1 : said.matches("\\d{1,15}") ? Long.parseLong(said) : Long.MAX_VALUE;
        if (number > Caps.LAST_ROW) {
            throw new FileRefused(Messages.text("SheetBounds.row.beyond", "row", number, "most", Caps.LINES));
        }
        return number;
    }

    /** Letters count as digits do, of twenty-six, without a nought. */
    private static void refuseColumn(String address) {
        String letters = address.replaceAll("[^A-Za-z].*", "").toUpperCase(Locale.ROOT);
        long column = 0;
        for (int i = 0; i < letters.length() && column <= Caps.LAST_COLUMN; i++) {
            column = column * LETTERS + letters.charAt(i) - 'A' + 1;
        }
        if (column > Caps.LAST_COLUMN) {
            throw new FileRefused(
                    Messages.text("SheetBounds.column.beyond", "column", cut(letters), "most", Caps.COLUMNS));
        }
    }

    private void add() {
        if (!isText) {
            return;
        }
        if (text.length() + xml.getTextLength() > Caps.SHEET_CELL) {
            throw new FileRefused(Messages.text(
                    "SheetBounds.cell",
                    "cell",
                    cell,
                    "length",
                    text.length() + xml.getTextLength(),
                    "most",
                    Caps.SHEET_CELL));
        }
        text.append(xml.getTextCharacters(), xml.getTextStart(), xml.getTextLength());
    }

    private void end(String element) {
        if (element.equals("v") && isNumber && !isOfSize(text.toString().strip())) {
            throw new FileRefused(Messages.text("SheetBounds.number", "cell", cell, "number", cut(text.toString())));
        }
        if (element.equals("v") || element.equals("t")) {
            isText = false;
        }
    }

    /** Whether a number can be written out; what is no number is found out by whoever reads it. */
    static boolean isOfSize(String number) {
        try {
            BigDecimal value = new BigDecimal(number);
            return Math.abs((long) value.precision() - value.scale()) <= Caps.DIGITS
                    && value.scale() <= Caps.SHEET_CELL;
        } catch (NumberFormatException none) {
            return true;
        }
    }

    private static String cut(String text) {
        return text.substring(0, Math.min(20, text.length()));
    }

    private String attribute(String name) {
        String value = xml.getAttributeValue(null, name);
        return value == null ? "" : value;
    }
}
