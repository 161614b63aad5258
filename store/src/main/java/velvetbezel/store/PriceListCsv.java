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
import java.util.Collections;
import java.util.Comparator;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.Opening;
import velvetbezel.sheet.PartKind;

/**
 * A list of radios and parts with prices and stock as CSV (RFC 4180, or with semicolons or tabs), its first line naming
 * the columns in any order and, for a supplier whose headings were learned, in the supplier's words. Only "number" must
 * be there; an empty cell leaves what is known as it is. The kind of a radio is "radio", and its opening its size.
 */
public final class PriceListCsv {
    /** Columns a list may have. */
    public static final List<String> COLUMNS =
            List.of("number", "name", "maker", "kind", "price", "stock", "days", "plug", "opening");

    /** The kind of what is no part. */
    static final String RADIO = "radio";

    private static final Pattern FORMULA = Pattern.compile("^[=+\\-@\\t\\r]");
    private static final int SAMPLES = 3;
    private static final String SEPARATORS = "\t;,";
    private static final int MOST_HEADER = 8192;
    private static final int MOST_CHARACTERS = 1 << 16;
    private static final int MOST_FIELD = 200;
    private static final int MOST_PIECES = 1_000_000;

    private PriceListCsv() {}

    /**
     * One line read.
     *
     * @param values by column, prices in hundredths;
     * @param faults what is wrong with it, if anything
     */
    record Line(long line, String number, Map<String, Object> values, List<InputProblem> faults) {}

    interface Taker {
        void take(Line line);
    }

    /** @param samples the first values below it */
    public record Heading(String text, List<String> samples) {}

    /** Some headings are no columns, and nobody has said what they stand for. */
    static final class UnknownHeadings extends RuntimeException {
        private static final long serialVersionUID = 1;
        private final transient List<Heading> headings;

        private UnknownHeadings(List<Heading> headings) {
            this.headings = headings;
        }

        List<Heading> headings() {
            return headings;
        }
    }

    /**
     * @param choose the column of each heading; empty where that is not known
     * @throws InvalidInput    where the list cannot be read any further: a quote never closed, a line of no end
     * @throws UnknownHeadings with all headings, where their columns are not known
     */
    static void read(Reader list, Function<List<String>, Optional<List<String>>> choose, Taker taker) {
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
            Iterator<CsvRecord> records = csv.iterator();
            if (!records.hasNext())
                throw new InvalidInput(
                        "line 1", "The list is empty; its first line names the columns, such as number,price,stock.");
            CsvRecord head = records.next();
            last = head.getStartingLineNumber();
            List<String> headings = headings(head);
            List<String> columns =
                    choose.apply(headings).orElseThrow(() -> new UnknownHeadings(samples(headings, records)));
            while (records.hasNext()) {
                CsvRecord record = records.next();
                last = record.getStartingLineNumber();
                taker.take(line(record, columns));
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

    private static List<String> headings(CsvRecord record) {
        List<String> headings = record.getFields().stream()
                .map(f -> f.replace("\uFEFF", "").strip().toLowerCase(Locale.ROOT))
                .toList();
        List<String> named = headings.stream().filter(h -> !h.isEmpty()).toList();
        if (named.stream().distinct().count() < named.size())
            throw new InvalidInput("line 1", "names a column twice; give each its own heading.");
        return headings;
    }

    /**
     * The column of each heading, empty text for one that is left out.
     *
     * @param learned column by heading, for what is no column's own name
     * @return empty where one of them is not known, or none is the number
     */
    static Optional<List<String>> columns(List<String> headings, Map<String, String> learned) {
        List<String> columns = new ArrayList<>();
        for (String h : headings) {
            String usual = COLUMNS.contains(h) || h.isEmpty() ? h : null;
            String column = learned.getOrDefault(h, usual);
            if (column == null) return Optional.empty();
            columns.add(column);
        }
        return Optional.of(columns).filter(c -> problems(c).isEmpty());
    }

    /** What speaks against reading columns so. */
    static List<InputProblem> problems(List<String> columns) {
        List<InputProblem> faults = new ArrayList<>();
        if (!columns.contains("number"))
            faults.add(new InputProblem(
                    "number", "is none of the columns; say which one holds the number that each line is about."));
        for (String column : COLUMNS)
            if (Collections.frequency(columns, column) > 1)
                faults.add(new InputProblem(column, "is said of two columns; leave one of them out."));
        return faults;
    }

    private static List<Heading> samples(List<String> headings, Iterator<CsvRecord> records) {
        List<CsvRecord> first = new ArrayList<>();
        while (records.hasNext() && first.size() < SAMPLES) first.add(records.next());
        return IntStream.range(0, headings.size())
                .filter(i -> !headings.get(i).isEmpty())
                .mapToObj(i -> new Heading(
                        headings.get(i),
                        first.stream()
                                .filter(r -> i < r.getFieldCount())
                                .map(r -> r.getField(i).strip())
                                .filter(v -> !v.isEmpty())
                                .toList()))
                .toList();
    }

    private static Line line(CsvRecord record, List<String> columns) {
        List<InputProblem> faults = new ArrayList<>();
        Map<String, Object> values = new LinkedHashMap<>();
        if (record.getFieldCount() != columns.size())
            faults.add(new InputProblem(
                    "",
                    "has %d fields where the first line names %d columns."
                            .formatted(record.getFieldCount(), columns.size())));
        else
            for (int i = 0; i < columns.size(); i++)
                if (!columns.get(i).isEmpty())
                    value(columns.get(i), fromText(record.getField(i).strip()), faults)
                            .ifPresent(put(values, columns.get(i)));
        String number = String.valueOf(values.getOrDefault("number", ""));
        if (number.isEmpty() && faults.isEmpty())
            faults.add(new InputProblem("number", "is empty; every line names its part."));
        return new Line(record.getStartingLineNumber(), number, values, faults);
    }

    private static Consumer<Object> put(Map<String, Object> values, String column) {
        return v -> values.put(column, v);
    }

    /** A cell that a spreadsheet would run begins with an apostrophe, which makes it a text. */
    private static String asText(String cell) {
        return FORMULA.matcher(cell).find() ? "'" + cell : cell;
    }

    private static String fromText(String cell) {
        return cell.startsWith("'") && FORMULA.matcher(cell.substring(1)).find() ? cell.substring(1) : cell;
    }

    private static Optional<?> value(String column, String text, List<InputProblem> faults) {
        if (text.isEmpty()) return Optional.empty();
        if (text.chars().anyMatch(Character::isISOControl))
            return refuse(column, "holds a character that cannot be printed; type it again.", faults);
        if (text.length() > MOST_FIELD)
            return refuse(column, "has %d characters; at most %d.".formatted(text.length(), MOST_FIELD), faults);
        return switch (column) {
            case "number" -> text.toLowerCase(Locale.ROOT).matches("[a-z0-9][a-z0-9-]{1,59}")
                    ? Optional.of(text.toLowerCase(Locale.ROOT))
                    : refuse(
                            column,
                            "\"%s\" is no part number; 2 to 60 letters, digits and hyphens.".formatted(text),
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
            case "kind" -> one(text, PriceListCsv::kind, RADIO + ", " + PartKind.all(), column, faults);
            case "opening" -> one(text, t -> Opening.find(t).map(Opening::label), Opening.all(), column, faults);
            default -> Optional.of(text);
        };
    }

    private static Optional<String> kind(String text) {
        return text.equals(RADIO) ? Optional.of(text) : PartKind.find(text).map(PartKind::label);
    }

    /** With a point or a comma before the cents, and the other of the two or a blank between thousands. */
    private static Optional<Long> cents(String text) {
        String plain = text.replaceAll("(?<=\\d)[ \u00A0\u202F](?=\\d{3}\\b)", "");
        if (plain.matches("\\d{1,3}(,\\d{3})+\\.\\d{1,2}")) plain = plain.replace(",", "");
        if (plain.matches("\\d{1,3}(\\.\\d{3})+,\\d{1,2}")) plain = plain.replace(".", "");
        if (!plain.matches("\\d{1,7}([.,]\\d{1,2})?")) return Optional.empty();
        return Optional.of(
                new BigDecimal(plain.replace(',', '.')).movePointRight(2).longValueExact());
    }

    private static Optional<String> one(
            String text,
            Function<String, Optional<String>> find,
            String allowed,
            String column,
            List<InputProblem> faults) {
        Optional<String> found = find.apply(text);
        return found.isPresent()
                ? found
                : refuse(column, "\"%s\" is not known; allowed: %s.".formatted(text, allowed), faults);
    }

    private static <T> Optional<T> refuse(String column, String message, List<InputProblem> faults) {
        faults.add(new InputProblem(column, message));
        return Optional.empty();
    }

    /** Writes radios or parts so that {@link #read} gives them back. */
    static void write(Writer to, Iterable<Listing> listings) {
        CsvWriter csv = CsvWriter.builder().build(to);
        csv.writeRecord(COLUMNS);
        for (Listing p : listings)
            csv.writeRecord(
                    p.id(),
                    asText(p.name()),
                    asText(p.maker()),
                    p.kind().equals(RADIO) ? RADIO : p.type(),
                    p.priceCents()
                            .map(c -> BigDecimal.valueOf(c, 2).toPlainString())
                            .orElse(""),
                    p.stock().map(String::valueOf).orElse(""),
                    p.days().map(String::valueOf).orElse(""),
                    p.families().isEmpty() ? "" : asText(p.families().get(0)),
                    p.opening());
        try {
            csv.flush();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
