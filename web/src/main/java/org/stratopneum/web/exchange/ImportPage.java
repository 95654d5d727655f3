package org.stratopneum.web.exchange;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.stratopneum.web.exchange.csv.CsvPreview;
import org.stratopneum.web.exchange.csv.CsvService;
import org.stratopneum.web.intake.ImportFault;
import org.stratopneum.web.intake.ImportForm;
import org.stratopneum.web.intake.ImportRun;
import org.stratopneum.web.platform.wording.FormView;

/**
 * A file that is brought in.
 *
 * @param made when it was received, in words
 * @param open what must still be said before it can be read
 * @param preview the beginning as it is understood; null for an archive, or once it is in
 * @param asks what is asked of another file than a table, and seen of it
 * @param choices what may be chosen in each field of the form
 * @param notes what else is to be known of what was read
 * @param same another import by which the same file is in already, or null
 * @param undoable whether it can be taken out again, {@code redoable} put back
 * @param leftOut how many rows have errors, and can be had as a file to mend
 * @param asked fields of the form that matter for the columns that there are
 */
public record ImportPage(
        ImportRun run,
        String made,
        FormView form,
        Map<String, String> open,
        CsvPreview preview,
        ImportForm asks,
        Map<String, List<CsvService.Choice>> choices,
        List<ImportFault> faults,
        List<String> notes,
        UUID same,
        boolean undoable,
        boolean redoable,
        int leftOut,
        List<String> asked) {

    /** Fields of the form that do not matter now, and are kept. */
    public List<String> hidden() {
        return choices.keySet().stream()
                .filter(name -> !name.equals("fields") && !asked.contains(name))
                .toList();
    }

    /** Rows without an error. */
    public int goodRows() {
        return run.rowsRead() - leftOut;
    }

    public String state() {
        return run.state().name();
    }

    public boolean busy() {
        return run.state().busy();
    }

    /** Whether it can still be understood otherwise. */
    public boolean waits() {
        return !busy() && !state().equals("DONE") && !state().equals("UNDONE");
    }

    public boolean table() {
        return preview != null;
    }
}
