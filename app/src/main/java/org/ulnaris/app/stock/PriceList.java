package org.ulnaris.app.stock;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.measure.MeasureException;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.measure.Typed;

/** The shop's price of a metre of cable by size, in any one currency: "16 mm² 4.20", one a line. */
@Service
@Transactional
public class PriceList {
    public static final String FIELD = "prices";

    private static final Range PRICE = new Range(0, 1e6);
    private static final int LONGEST = 4000;
    private static final Expected EXAMPLE = Expected.of("price-line");

    private final CablePriceRepository prices;

    PriceList(CablePriceRepository prices) {
        this.prices = prices;
    }

    /** Price of a metre by designation. */
    @Transactional(readOnly = true)
    public Map<String, Double> all() {
        return prices.findAll().stream().collect(Collectors.toMap(CablePrice::size, CablePrice::perMetre));
    }

    /** The list as it is typed, thin to thick, metric sizes first. */
    @Transactional(readOnly = true)
    public String text() {
        Map<String, Double> all = all();
        List<String> lines = new ArrayList<>();
        for (SizeSeries series : List.of(SizeSeries.METRIC, SizeSeries.AWG)) {
            for (ConductorSize size : ConductorSizes.of(series)) {
                Double price = all.get(size.designation());
                if (price != null) {
                    lines.add(size.designation() + " " + Figures.significant(price, 9));
                }
            }
        }
        return String.join("\n", lines);
    }

    /** The same as the form that it is typed into. */
    @Transactional(readOnly = true)
    public Map<String, String> texts() {
        return Map.of(FIELD, text());
    }

    /** Reads a list; faults stay in {@code entries}. */
    public static Map<String, Double> read(Entries entries) {
        Map<String, Double> read = new LinkedHashMap<>();
        for (String line : entries.lines(FIELD, LONGEST)) {
            String plain = Typed.plain(line);
            int gap = plain.lastIndexOf(' ');
            try {
                double price = Double.parseDouble(plain.substring(gap + 1).replace(',', '.'));
                if (gap < 0 || !PRICE.contains(price)) {
                    throw new NumberFormatException(plain);
                }
                String size = plain.substring(0, gap).strip();
                SizeSeries series = size.contains("mm") ? SizeSeries.METRIC : SizeSeries.AWG;
                read.put(ConductorSizes.parse(size, series).designation(), price);
            } catch (NumberFormatException | MeasureException e) {
                entries.fault(FIELD, Fault.Code.NOT_A_NUMBER, EXAMPLE);
            }
        }
        return read;
    }

    /** The whole list anew. */
    public void replace(Map<String, Double> all) {
        prices.deleteAllInBatch();
        all.forEach((size, price) -> prices.save(new CablePrice(size, price)));
        prices.flush();
    }
}
