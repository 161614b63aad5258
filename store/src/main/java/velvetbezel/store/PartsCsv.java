package velvetbezel.store;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.IOException;
import java.io.PushbackReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import velvetbezel.sheet.Fault;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.Opening;
import velvetbezel.sheet.PartKind;

/**
 * A list of parts with prices and stock as CSV (RFC 4180, or with semicolons or tabs), its first line naming the columns
 * in any order. Only "number" must be there; an empty cell leaves what is known as it is.
 */
public final class PartsCsv {
    /** Columns a list may have. */
    public static final List<String> COLUMNS =
            List.of("number", "name", "maker", "kind", "price", "stock", "days", "plug", "opening");

    private static final String SEPARATORS = "\t;,";
    private static final int MOST_HEADER = 8192;
    private static final int MOST_CHARACTERS = 1 << 16;
    private static final int MOST_FIELD = 200;
    private static final int MOST_PIECES = 1_000_000;

    private PartsCsv() {}

    /**
     * One line read.
     *
     * @param values by column, prices in hundredths;
     * @param faults what is wrong with it, if anything
     */
    record Line(long line, String number, Map<String, Object> values, List<Fault> faults) {}

    interface Taker {
        void take(Line line);
    }

    /**
     * @throws InvalidInput where the list cannot be read any further: a wrong header, a quote never closed, a line of
     *     no end
     */
    static void read(Reader list, Taker taker) {
        List<String> header = null;
        long last = 0;
        try (PushbackReader text = new PushbackReader(list, MOST_HEADER);
                CsvReader<CsvRecord> csv = CsvReader.builder()
                        .fieldSeparator(separator(text))
                        .skipEmptyLines(true)
                        .allowMissingFields(true)
                        .allowExtraFields(true)
                        .allowExtraCharsAfterClosingQuote(false)
                        .maxBufferSize(MOST_CHARACTERS)
                        .ofCsvRecord(text)) {
            for (CsvRecord record : csv) {
                last = record.getStartingLineNumber();
                if (header == null) header = header(record);
                else taker.take(line(record, header));
            }
        } catch (CsvParseException e) {
            throw new InvalidInput(
                    "line %d".formatted(last + 1),
                    "cannot be read from here on: %s. A quote may be open, or the line longer than %d characters. Correct it and read the list again."
                            .formatted(cause(e), MOST_CHARACTERS));
        } catch (IOException | UncheckedIOException e) {
            throw new InvalidInput(
                    "line %d".formatted(last + 1),
                    "cannot be read from here on: it is no text in UTF-8. Save the list as UTF-8 and read it again.");
        }
        if (header == null)
            throw new InvalidInput(
                    "line 1", "The list is empty; its first line names the columns, such as number,price,stock.");
    }

    /** What stands between the columns' names: programs that write a comma in prices put a semicolon or tab there. */
    private static char separator(PushbackReader text) throws IOException {
        char[] start = new char[MOST_HEADER];
        int length = Math.max(0, text.read(start));
        text.unread(start, 0, length);
        String header = new String(start, 0, length).lines().findFirst().orElse("");
        return SEPARATORS
                .chars()
                .mapToObj(c -> (char) c)
                .max(Comparator.comparingLong(
                        c -> header.chars().filter(h -> h == c).count()))
                .orElseThrow();
    }

    private static String cause(Throwable e) {
        Throwable root = e;
        while (root.getCause() != null) root = root.getCause();
        return Optional.ofNullable(root.getMessage()).orElse("it is no CSV");
    }

    private static List<String> header(CsvRecord record) {
        List<String> names = record.getFields().stream()
                .map(f -> f.replace("\uFEFF", "").strip().toLowerCase(Locale.ROOT))
                .toList();
        List<Fault> faults = new ArrayList<>();
        for (String name : names)
            if (!COLUMNS.contains(name))
                faults.add(new Fault(
                        "line 1", "\"%s\" is no column; allowed: %s.".formatted(name, String.join(", ", COLUMNS))));
        if (!names.contains("number"))
            faults.add(new Fault("line 1", "has no column \"number\", which says which part a line is about."));
        if (names.stream().distinct().count() < names.size()) faults.add(new Fault("line 1", "names a column twice."));
        if (!faults.isEmpty()) throw new InvalidInput(faults);
        return names;
    }

    private static Line line(CsvRecord record, List<String> header) {
        List<Fault> faults = new ArrayList<>();
        Map<String, Object> values = new LinkedHashMap<>();
        if (record.getFieldCount() != header.size())
            faults.add(new Fault(
                    "",
                    "has %d fields where the first line names %d columns."
                            .formatted(record.getFieldCount(), header.size())));
        else
            for (int i = 0; i < header.size(); i++)
                value(header.get(i), record.getField(i).strip(), faults).ifPresent(put(values, header.get(i)));
        String number = String.valueOf(values.getOrDefault("number", ""));
        if (number.isEmpty() && faults.isEmpty())
            faults.add(new Fault("number", "is empty; every line names its part."));
        return new Line(record.getStartingLineNumber(), number, values, faults);
    }

    private static Consumer<Object> put(Map<String, Object> values, String column) {
        return v -> values.put(column, v);
    }

    private static Optional<?> value(String column, String text, List<Fault> faults) {
        if (text.isEmpty()) return Optional.empty();
        if (text.length() > MOST_FIELD)
            return refuse(column, "has %d characters; at most %d.".formatted(text.length(), MOST_FIELD), faults);
        return switch (column) {
            case "number" -> text.matches("[a-z0-9][a-z0-9-]{1,59}")
                    ? Optional.of(text)
                    : refuse(
                            column,
                            "\"%s\" is no part number; 2 to 60 small letters, digits and hyphens.".formatted(text),
                            faults);
            case "price" -> cents(text)
                    .map(Optional::of)
                    .orElseGet(() -> refuse(
                            column, "\"%s\" is no price; a number from 0 such as 12.50.".formatted(text), faults));
            case "stock", "days" -> text.matches("\\d{1,7}") && Integer.parseInt(text) <= MOST_PIECES
                    ? Optional.of(Integer.parseInt(text))
                    : refuse(
                            column,
                            "\"%s\" is no count; a whole number from 0 to %d.".formatted(text, MOST_PIECES),
                            faults);
            case "kind" -> one(text, t -> PartKind.find(t).map(PartKind::label), PartKind.all(), column, faults);
            case "opening" -> one(text, t -> Opening.find(t).map(Opening::label), Opening.all(), column, faults);
            default -> Optional.of(text);
        };
    }

    private static Optional<Long> cents(String text) {
        if (!text.matches("\\d{1,7}([.,]\\d{1,2})?")) return Optional.empty();
        return Optional.of(
                new BigDecimal(text.replace(',', '.')).movePointRight(2).longValueExact());
    }

    private static Optional<String> one(
            String text, Function<String, Optional<String>> find, String allowed, String column, List<Fault> faults) {
        Optional<String> found = find.apply(text);
        return found.isPresent()
                ? found
                : refuse(column, "\"%s\" is not known; allowed: %s.".formatted(text, allowed), faults);
    }

    private static <T> Optional<T> refuse(String column, String message, List<Fault> faults) {
        faults.add(new Fault(column, message));
        return Optional.empty();
    }

    /** Writes parts so that {@link #read} gives them back. */
    static void write(Writer to, Iterable<Listing> parts) {
        CsvWriter csv = CsvWriter.builder().build(to);
        csv.writeRecord(COLUMNS);
        for (Listing p : parts)
            csv.writeRecord(
                    p.id(),
                    p.name(),
                    p.maker(),
                    p.type(),
                    p.priceCents()
                            .map(c -> BigDecimal.valueOf(c, 2).toPlainString())
                            .orElse(""),
                    p.stock().map(String::valueOf).orElse(""),
                    p.days().map(String::valueOf).orElse(""),
                    p.families().isEmpty() ? "" : p.families().get(0),
                    p.opening());
        try {
            csv.flush();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
