package velvetbezel.web;

import static org.junit.jupiter.api.Assertions.assertEquals;

import com.microsoft.playwright.Page;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The queue of changes by itself, in the browser it runs in. */
class QueueTest extends InBrowser {
    private static final String START =
            """
            async () => {
              const app = document.querySelector('script[type=module]').src;
              const { openQueue } = await import(app.replace('app.js', 'queue.js'));
              const queue = openQueue('a test');
              const change = (value, name = 'f:note') => ({ job: 7, action: '/', fields: [['seen', '1'], [name, value]], label: value });
              return JSON.stringify(await (async () => { BODY })());
            }
            """;
    private Page page;

    @BeforeEach
    void open() {
        page = window("ines");
        page.navigate("/jobs");
    }

    private String run(String body) {
        return (String) page.evaluate(START.replace("BODY", body));
    }

    @Test
    void changesAreSentInTheirOrderAndOnce() {
        assertEquals(
                "[\"a\",\"b\",\"c\"]",
                run(
                        """
                        const sent = [];
                        for (const v of ['a', 'b', 'c']) await queue.put(change(v));
                        const send = async (c) => { sent.push(c.label); return { outcome: 'taken', seq: 2 }; };
                        await Promise.all([queue.deliver(send), queue.deliver(send)]);
                        return sent;"""));
    }

    @Test
    void whatCannotBeSentStaysInItsPlaceAndKeepsItsName() {
        assertEquals(
                "[\"no connection\",[\"a\",\"b\"],true]",
                run(
                        """
                        const first = await queue.put(change('a'));
                        await queue.put(change('b'));
                        const why = await queue.deliver(async () => ({ later: 'no connection' }));
                        const waiting = await queue.waiting();
                        return [why, waiting.map((c) => c.label), waiting[0].id === first.id];"""));
    }

    @Test
    void refusedIsKeptAndTheNextGoesOn() {
        assertEquals(
                "[[\"a\",\"b\"],[\"a: no such colour\"],0]",
                run(
                        """
                        const sent = [];
                        await queue.put(change('a'));
                        await queue.put(change('b', 'f:customer'));
                        await queue.deliver(async (c) => { sent.push(c.label);
                          return c.label === 'a' ? { outcome: 'refused', seq: 1, answer: 'no such colour' } : { outcome: 'taken', seq: 2 }; });
                        const refused = await queue.refused();
                        return [sent, refused.map((c) => c.label + ': ' + c.answer), (await queue.waiting()).length];"""));
    }

    @Test
    void laterChangeOfTheSameFieldThatIsTakenSettlesTheRefusedOne() {
        assertEquals(
                "[1,0]",
                run(
                        """
                        await queue.put(change('a'));
                        await queue.deliver(async () => ({ outcome: 'refused', seq: 1, answer: 'no' }));
                        const before = (await queue.refused()).length;
                        await queue.put(change('b'));
                        await queue.deliver(async () => ({ outcome: 'taken', seq: 2 }));
                        return [before, (await queue.refused()).length];"""));
    }

    @Test
    void whatIsOnItsWayIsNotTakenBack() {
        assertEquals(
                "[false,[\"a\"],true,0]",
                run(
                        """
                        await queue.put(change('a'));
                        const sent = [];
                        const way = queue.deliver(async (c) => { await new Promise((r) => setTimeout(r, 100)); sent.push(c.label); return { outcome: 'taken', seq: 2 }; });
                        const back = await queue.takeBack(7);
                        await way;
                        await queue.put(change('b'));
                        return [back, sent, await queue.takeBack(7), (await queue.waiting()).length];"""));
    }

    /** A private window has no database: the queue works, and keeps for as long as the window is open. */
    @Test
    void withoutADatabaseTheQueueIsKeptInMemory() {
        assertEquals(
                "[[\"a\",\"b\"],[\"b\"],0]",
                run(
                        """
                        indexedDB.open = () => { throw new DOMException('no', 'InvalidStateError'); };
                        const { openQueue } = await import(document.querySelector('script[type=module]').src.replace('app.js', 'queue.js'));
                        const other = openQueue('in memory');
                        await other.put(change('a'));
                        await other.put(change('b', 'f:customer'));
                        const before = (await other.waiting()).map((c) => c.label);
                        const sent = [];
                        await other.deliver(async (c) => { if (c.label === 'b') sent.push(c.label); return { outcome: 'taken', seq: 2 }; });
                        return [before, sent, (await other.waiting()).length];"""));
    }

    /** A page kept from before does not know what was sent after it was made. */
    @Test
    void whatWasSentAfterAPageWasMadeIsStillSaidOnIt() {
        assertEquals(
                "[[\"f:note\",\"a\",false],[\"f:customer\",\"b\",true]]",
                run(
                        """
                        await queue.put(change('a'));
                        await queue.deliver(async () => ({ outcome: 'taken', seq: 5 }));
                        await queue.put(change('b', 'f:customer'));
                        const older = await queue.said(7, 4);
                        if ((await queue.said(7, 5)).has('f:note')) return 'the page of version 5 has it';
                        return [...older].map(([k, v]) => [k, v.value, v.waits]);"""));
    }
}
