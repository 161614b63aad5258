package velvetbezel.simulate;

/** A line to an interface. */
interface Line {
    /** @throws PowerCut where it is unplugged */
    void send(byte[] bytes);

    /** What has come, waiting so long at most; nothing where nothing did. @throws PowerCut where it is unplugged */
    byte[] receive(long millis);
}
