package velvetbezel.run;

/** Names a port of a device, as functions write it: "front left speaker:in". */
public record PortRef(String instance, String port) {
    @Override
    public String toString() {
        return instance + ":" + port;
    }
}
