package velvetbezel.web.job;

import java.util.ArrayList;
import java.util.List;
import velvetbezel.harness.Installation;
import velvetbezel.job.Design;
import velvetbezel.match.Cost;
import velvetbezel.match.Market;
import velvetbezel.sheet.Sheet;
import velvetbezel.web.shell.Words;
import velvetbezel.worksheet.Loads;
import velvetbezel.worksheet.Materials;
import velvetbezel.worksheet.Worksheet;

/**
 * What is bought for a job, as quote and record both count it: radio, parts, and small materials for the joints.
 *
 * @param cents all of it, as far as prices are known
 */
public record Goods(List<Item> items, long cents, Cost cost) {
    /** One line of a sum. */
    public record Item(String name, String price, String minutes) {}

    public static Goods of(
            OpenJob open, Sheet.Radio radio, List<Sheet.Part> parts, Market market, Materials materials) {
        List<Item> items = new ArrayList<>();
        items.add(new Item(radio.name(), Words.price(market.cents(radio)), ""));
        Cost cost = market.of(radio);
        for (Sheet.Part p : parts) {
            Cost own = market.of(open.vehicle().orElseThrow(), p);
            items.add(new Item(p.name(), Words.price(market.cents(p)), Words.time(own)));
            cost = cost.plus(own);
        }
        if (materials.cents() > 0)
            items.add(new Item("Small materials for the joints", Words.money(materials.cents()), ""));
        return new Goods(List.copyOf(items), cost.cents() + materials.cents(), cost);
    }

    /** As this job makes its joints; what loads ask for is in it. */
    public static Materials materials(OpenJob open, Design design) {
        return Materials.of(design.worksheet(), open.tables(), open.ways(), design.loads());
    }

    /** For a kit that is not chosen. */
    public static Materials materials(OpenJob open, Installation installation) {
        Worksheet worksheet = Worksheet.of(installation);
        return Materials.of(worksheet, open.tables(), open.ways(), Loads.of(installation, worksheet, open.tables()));
    }

    public String total() {
        return Words.price(cents, cost.missing());
    }
}
