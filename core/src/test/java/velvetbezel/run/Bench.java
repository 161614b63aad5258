package velvetbezel.run;

import velvetbezel.Demo;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;

/** Small cars made of a battery and the devices of one test, for trying the rule language itself. */
final class Bench {
    private static final String CAR =
            """
        {"format":"velvet-bezel/sheet","version":1,"kind":"vehicle","id":"bench","name":"bench","source":{"from":"measured"},
         "make":"bench","model":"bench","trim":"bench","years":[2000,2001],"opening":"one-DIN","audio system":"plain","buttons":["a","b"],
         "devices":[{"id":"battery","terminals":["plus","minus"],"rules":[{"id":"feed","when":{"state":"battery","is":"connected"},"then":[{"drive":["plus","minus"],"volts":12.6,"ohms":0.02}]}]},
           {"id":"switch","terminals":["in","out"],"rules":[{"id":"on","when":{"state":"key","in":["accessory","run"]},"then":[{"connect":["in","out"],"ohms":0.01}]}]}
           %s],
         "wires":[{"from":"battery.plus","to":"switch.in","metres":0.1} %s],
         "plugs":[{"id":"A","family":"none","size":1,"positions":[{"position":1,"empty":true}]}],
         "radio":{"id":"radio","terminals":["gnd"],"rules":[]}}
        """;

    private Bench() {}

    /** @param devices JSON objects, comma separated; @param wires "a.b>c.d" */
    static Installation of(String devices, String... wires) {
        StringBuilder list = new StringBuilder();
        for (String wire : wires)
            list.append(",{\"from\":\"%s\",\"to\":\"%s\",\"gauge\":16,\"metres\":0.5}"
                    .formatted(wire.split(">")[0], wire.split(">")[1]));
        return Builder.factory((Sheet.Vehicle) SheetReader.read(Demo.parse(CAR.formatted("," + devices, list))));
    }
}
