package zebrawood.desktop.command;

import java.io.BufferedOutputStream;
import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;
import zebrawood.benches.Catalogue;
import zebrawood.logbook.worksheet.Solver;

/** Worksheets in, findings out. */
@Command(
        name = "solve",
        description = "Answers worksheets: JSON Lines in, JSON Lines out. Exit status 2 when any was refused.")
final class Solve implements Callable<Integer> {

    @Parameters(paramLabel = "FILE|-", description = "worksheets, one a line; - for standard input")
    private String file;

    @Override
    public Integer call() throws IOException {
        try (InputStream in = file.equals("-") ? System.in : Files.newInputStream(Path.of(file));
                OutputStream out = new BufferedOutputStream(new FileOutputStream(FileDescriptor.out), 1 << 16)) {
            return new Solver(Catalogue.solved(), Throwable::printStackTrace).solve(in, out) == 0
                    ? Exit.DONE
                    : Exit.REFUSED;
        }
    }
}
