package velvetbezel.web.job;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;
import velvetbezel.Demo;
import velvetbezel.job.Change;
import velvetbezel.job.DoneStep;
import velvetbezel.job.Entry;
import velvetbezel.job.JobState;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.strip.ItemId;
import velvetbezel.store.Document;
import velvetbezel.store.Job;
import velvetbezel.store.JobCodec;
import velvetbezel.store.Jobs;
import velvetbezel.store.Library;
import velvetbezel.store.Sender;
import velvetbezel.store.StandardTables;
import velvetbezel.strip.StripStep;

/** What another kit or a settled fact does to the work already done. */
class ChangesTest {
    private final Jobs jobs = mock(Jobs.class);
    private final Library library = mock(Library.class);
    private final KitWarmUp warmUp = mock(KitWarmUp.class);
    private final Map<String, String> fields = new LinkedHashMap<>();
    private final JobOpener opener = new JobOpener(jobs, library);
    private Changes changes;

    @BeforeEach
    void minibusHalfDone() {
        when(library.catalogue()).thenReturn(Demo.CATALOGUE);
        when(library.tables()).thenReturn(StandardTables.all());
        when(library.revision()).thenReturn("1");
        when(library.find(anyString())).thenAnswer(call -> Optional.of(Document.read(Demo.text(call.getArgument(0)))));
        fields.putAll(Map.of(
                "vehicle",
                "corrick-ferryman-2006",
                "radio",
                "pebblefen-p2",
                "parts",
                "quillmoor-ferryman-frame,thornlea-iso-steering",
                "joint/joint ground",
                "done",
                "joint/joint steering 1",
                "done",
                "read back/joint steering 1",
                "agrees",
                "result/power",
                "RIGHT",
                "note",
                "keep me"));
        when(jobs.find(anyInt()))
                .thenAnswer(call -> Optional.of(
                        new Job(new UUID(0, 1), 214, "Minibus", 7, JobState.EMPTY.with(JobCodec.changes(fields)))));
        when(jobs.undoable(any())).thenReturn(Optional.empty());
        changes = new Changes(opener, jobs, warmUp, mock(Summaries.class));
    }

    /** By key; an entry that is taken away has no text. */
    private Map<String, Optional<String>> written() {
        @SuppressWarnings("unchecked")
        ArgumentCaptor<List<Change<?>>> written = ArgumentCaptor.forClass(List.class);
        verify(jobs).change(any(), any(), anyString(), anyLong(), written.capture());
        return written.getValue().stream().collect(Collectors.toMap(c -> JobCodec.key(c.entry()), JobCodec::text));
    }

    @Test
    void adapterWithoutSteeringTailTakesBackItsJointsAndTheFinalTestAndNothingElse() {
        changes.change(
                opener.open(214),
                Sender.named("Ines"),
                7,
                Map.of("parts", "quillmoor-ferryman-frame,thornlea-iso-tails"),
                Map.of());
        Map<String, Optional<String>> written = written();
        assertEquals(Optional.empty(), written.get("joint/joint steering 1"));
        assertEquals(Optional.empty(), written.get("read back/joint steering 1"));
        assertEquals(Optional.empty(), written.get("result/power"));
        assertTrue(!written.containsKey("note"));
        verify(warmUp).soon(214);
    }

    @Test
    void tickTakesNothingBack() {
        changes.change(opener.open(214), Sender.named("Ines"), 7, Map.of("joint/joint constant", "done"), Map.of());
        assertEquals(Map.of("joint/joint constant", Optional.of("done")), written());
        verify(warmUp, never()).soon(anyInt());
    }

    @Test
    void settledColourLeavesTheTicksSinceTheLeadsAreTheSame() {
        changes.change(
                opener.open(214),
                Sender.named("Ines"),
                7,
                Map.of("settled/corrick-ferryman-2006/plugs[A].positions[position 6].colour", "grey/red"),
                Map.of());
        assertEquals(1, written().size());
    }

    @Test
    void whatCannotBeBuiltIsRefusedAtItsFieldAndNothingIsWritten() {
        InvalidInput refused = assertThrows(
                InvalidInput.class,
                () -> changes.change(
                        opener.open(214),
                        Sender.named("Ines"),
                        7,
                        Map.of(
                                "settled/corrick-ferryman-2006/plugs[A].positions[position 6].colour",
                                "blurple",
                                "note",
                                "typed"),
                        Map.of()));
        assertTrue(refused.getMessage().contains("\"blurple\" is not known"), refused.getMessage());
        verify(jobs, never()).change(any(), any(), anyString(), anyLong(), any());
    }

    /** A page that was loaded before another kit was chosen: its joint is not the one that the tick would stand for. */
    @Test
    void tickOfAPageThatShowedAnotherKitIsRefusedWithBothShown() {
        Changes.OtherDesign refused = assertThrows(
                Changes.OtherDesign.class,
                () -> changes.change(
                        opener.open(214),
                        Sender.named("Ines"),
                        7,
                        Map.of("joint/joint constant", "done"),
                        Map.of("joint/joint constant", "constant: yellow of the Tarnlight Minor")));
        String message = refused.faults().get(0).message();
        assertTrue(message.contains("your page showed \"constant: yellow of the Tarnlight Minor\""), message);
        assertTrue(message.contains("in the kit chosen now it is \"constant: "), message);
        verify(jobs, never()).change(any(), any(), anyString(), anyLong(), any());
    }

    @Test
    void tickOfAJointThatTheKitDoesNotHaveIsRefused() {
        Changes.OtherDesign refused = assertThrows(
                Changes.OtherDesign.class,
                () -> changes.change(
                        opener.open(214), Sender.named("Ines"), 7, Map.of("joint/joint camera", "done"), Map.of()));
        assertTrue(refused.faults().get(0).message().contains("in the kit chosen now there is none"));
    }

    @Test
    void takingBackATickOfAnotherKitIsNoHarm() {
        changes.change(opener.open(214), Sender.named("Ines"), 7, Map.of("joint/joint camera", ""), Map.of());
        assertEquals(Map.of("joint/joint camera", Optional.empty()), written());
    }

    /** Once the panels are on, what needs them off is tried no more: the job says what that was. */
    @Test
    void dashClosedOverOpenChecksIsKeptWithTheirNames() {
        fields.put("step/000100-a", "exchange");
        close();
        String open = written().get("closed open").orElseThrow();
        assertTrue(open.contains("Display dimming"), open);
        assertFalse(open.contains("Switched power"), open);
        assertFalse(open.contains("Standby current"), open);
    }

    @Test
    void dashThatWasNotEmptiedYetIsNotClosed() {
        close();
        assertFalse(written().containsKey("closed open"));
    }

    private void close() {
        changes.change(
                opener.open(214),
                Sender.named("Ines"),
                7,
                List.of(Change.set(
                        new Entry.StepDone("000200-a"),
                        new DoneStep(new StripStep.Fasten(new ItemId("radio")), OptionalLong.empty()))));
    }
}
