package garden.vivarium.app.exchange;

import garden.vivarium.app.platform.Messages;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Collections;
import java.util.Locale;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipFile;

/**
 * A spreadsheet as it lies packed: looked through before anybody unpacks it, since it comes from anywhere. It may hold so many
 * files of so many bytes, no links to other files, no macros, and no definitions of its own.
 */
final class PackedFile {

    private static final String CONTENT = "content.xml";
    private static final String ODS_TYPE = "application/vnd.oasis.opendocument.spreadsheet";
    private static final String MANIFEST =
            "<manifest:manifest xmlns:manifest='urn:oasis:names:tc:opendocument:xmlns:manifest:1.0'>"
                    + "<manifest:file-entry manifest:full-path='/' manifest:media-type='" + ODS_TYPE + "'/>"
                    + "<manifest:file-entry manifest:full-path='content.xml' manifest:media-type='text/xml'/></manifest:manifest>";
    private static final int OVERLAP = 12;
    private static final int CHUNK = 16_384;
    private static final String REPEATED_ROWS = "number-rows-repeated";
    private static final String REPEATED_COLUMNS = "number-columns-repeated";

    private PackedFile() {}

    /** What kind of spreadsheet it is. */
    enum Kind {
        XLSX,
        ODS
    }

    /** Whether the bytes are of a packed file. */
    static boolean isOne(byte[] bytes) {
        return bytes.length > 3 && bytes[0] == 'P' && bytes[1] == 'K' && bytes[2] <= 8;
    }

    /**
     * Looks a packed file through.
     *
     * @throws FileRefused if it is no spreadsheet that is read, or holds what is not read
     */
    static Kind inspect(byte[] bytes) {
        Kind kind = null;
        long unpacked = 0;
        int entries = 0;
        try (ZipFile zip = open(bytes)) {
            byte[] chunk = new byte[CHUNK];
            for (ZipArchiveEntry entry : Collections.list(zip.getEntries())) {
                String name = entry.getName().toLowerCase(Locale.ROOT);
                if (++entries > Caps.ENTRIES) {
                    throw new FileRefused(Messages.text("PackedFile.entries", "most", Caps.ENTRIES));
                }
                refuseName(name);
                if (name.equals("xl/workbook.xml")) {
                    kind = Kind.XLSX;
                } else if (name.equals(CONTENT)) {
                    kind = Kind.ODS;
                }
                long unpackedBefore = unpacked;
                try (InputStream in = zip.getInputStream(entry)) {
                    String before = "";
                    for (int n = in.read(chunk); n >= 0; n = in.read(chunk)) {
                        before = refuseDefinitions(name, before, chunk, n);
                        unpacked += n;
                        if (unpacked > Caps.UNPACKED) {
                            throw new FileRefused(
                                    Messages.text("PackedFile.unpacked", "most", Caps.UNPACKED / 1_000_000));
                        }
                        if (unpacked - unpackedBefore > Caps.SHEET) {
                            throw new FileRefused(Messages.text("PackedFile.sheet", "most", Caps.SHEET / 1_000_000));
                        }
                    }
                }
            }
        } catch (IOException | IllegalArgumentException e) {
            throw new FileRefused(Messages.text("PackedFile.damaged"));
        }
        if (kind == null) {
            throw new FileRefused("The file is packed, but no .xlsx or .ods. Save it as one of them, or as CSV.");
        }
        if (kind == Kind.ODS) {
            refuseRepeats(content(bytes));
        } else {
            refuseBeyond(bytes);
        }
        return kind;
    }

    /** Sheets, and the words that they share. */
    private static void refuseBeyond(byte[] bytes) {
        try (ZipFile zip = open(bytes)) {
            for (ZipArchiveEntry entry : Collections.list(zip.getEntries())) {
                String name = entry.getName().toLowerCase(Locale.ROOT);
                if ((name.startsWith("xl/worksheets/") || name.equals("xl/sharedstrings.xml"))
                        && name.endsWith(".xml")) {
                    try (InputStream in = zip.getInputStream(entry)) {
                        SheetBounds.refuse(in, safe());
                    }
                }
            }
        } catch (IOException | IllegalArgumentException e) {
            throw new FileRefused(Messages.text("PackedFile.damaged"));
        }
    }

    private static ZipFile open(byte[] bytes) throws IOException {
        return ZipFile.builder().setByteArray(bytes).get();
    }

    private static byte[] content(byte[] bytes) {
        try (ZipFile zip = open(bytes);
                InputStream in = zip.getInputStream(zip.getEntry(CONTENT))) {
            return in.readAllBytes();
        } catch (IOException e) {
            throw new FileRefused(Messages.text("PackedFile.damaged"));
        }
    }

    /** An .ods of the sheets alone: of all that was looked through, nothing else reaches its reader. */
    static byte[] sheetsOnly(byte[] bytes) {
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(packed)) {
            add(zip, "mimetype", ODS_TYPE.getBytes(StandardCharsets.UTF_8));
            add(zip, "META-INF/manifest.xml", MANIFEST.getBytes(StandardCharsets.UTF_8));
            add(zip, CONTENT, content(bytes));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return packed.toByteArray();
    }

    private static void add(ZipOutputStream zip, String name, byte[] bytes) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(bytes);
        zip.closeEntry();
    }

    private static void refuseName(String name) {
        if (name.startsWith("xl/externallinks/")) {
            throw new FileRefused("The spreadsheet links to other files. Break its links, or save its sheet as CSV.");
        }
        if (name.endsWith("vbaproject.bin") || name.startsWith("basic/") || name.startsWith("scripts/")) {
            throw new FileRefused("The spreadsheet holds macros. Save it without them, or its sheet as CSV.");
        }
    }

    /**
     * A definition may stand anywhere before the first element, behind a comment of any length; in what a sheet says it is written
     * otherwise.
     *
     * @param before the end of what was looked through before
     * @return the end of this
     */
    private static String refuseDefinitions(String name, String before, byte[] chunk, int length) {
        if (!name.endsWith(".xml") && !name.endsWith(".rels")) {
            return "";
        }
        String text = before + new String(chunk, 0, length, StandardCharsets.ISO_8859_1);
        if (text.contains("<!DOCTYPE") || text.contains("<!ENTITY") || text.indexOf('\0') >= 0) {
            throw new FileRefused(
                    "The spreadsheet defines words of its own, which no office program writes. Save its sheet as CSV.");
        }
        return text.substring(Math.max(0, text.length() - OVERLAP));
    }

    /** A sheet may say "this row a million times"; empty ones are usual at its end, others are more than is read. */
    private static void refuseRepeats(byte[] content) {
        try {
            refuseRepeats(safe().createXMLStreamReader(new ByteArrayInputStream(content)));
        } catch (XMLStreamException | NumberFormatException e) {
            throw new FileRefused(Messages.text("PackedFile.damaged"));
        }
    }

    private static XMLInputFactory safe() {
        XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        return factory;
    }

    private static void refuseRepeats(XMLStreamReader xml) throws XMLStreamException {
        long rows = 0;
        long at = 0;
        long rowTimes = 1;
        long columns = 0;
        long filledUpTo = 0;
        long cellTimes = 1;
        while (xml.hasNext()) {
            int event = xml.next();
            if (event == XMLStreamConstants.START_ELEMENT) {
                switch (xml.getLocalName()) {
                    case "table" -> at = 0;
                    case "table-row" -> {
                        rowTimes = times(xml, REPEATED_ROWS);
                        columns = 0;
                        filledUpTo = 0;
                    }
                    case "table-cell", "covered-table-cell" -> {
                        cellTimes = times(xml, REPEATED_COLUMNS);
                        columns += cellTimes;
                        refuseNumber(xml);
                    }
                    case "p" -> filledUpTo = columns;
                    default -> {}
                }
            } else if (event == XMLStreamConstants.END_ELEMENT
                    && xml.getLocalName().equals("table-row")) {
                if (filledUpTo > Caps.COLUMNS) {
                    throw new FileRefused(Messages.text("Table.columns", "columns", filledUpTo, "most", Caps.COLUMNS));
                }
                at += rowTimes;
                if (filledUpTo > 0 && at > Caps.LAST_ROW) {
                    throw new FileRefused(Messages.text("SheetBounds.row.beyond", "row", at, "most", Caps.LINES));
                }
                rows += filledUpTo > 0 ? rowTimes : 0;
                if (rows > Caps.LINES + 1) {
                    throw new FileRefused(Messages.text("Table.lines", "most", Caps.LINES));
                }
            }
        }
    }

    private static void refuseNumber(XMLStreamReader xml) {
        for (int i = 0; i < xml.getAttributeCount(); i++) {
            String value = xml.getAttributeValue(i);
            if (xml.getAttributeLocalName(i).equals("value") && !SheetBounds.isOfSize(value)) {
                throw new FileRefused(Messages.text(
                        "SheetBounds.number",
                        "cell",
                        "none",
                        "number",
                        value.substring(0, Math.min(20, value.length()))));
            }
        }
    }

    private static long times(XMLStreamReader xml, String attribute) {
        for (int i = 0; i < xml.getAttributeCount(); i++) {
            if (xml.getAttributeLocalName(i).equals(attribute)) {
                return Long.parseLong(xml.getAttributeValue(i));
            }
        }
        return 1;
    }
}
