package zebrawood.desktop.command;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import zebrawood.kit.theme.Fonts;

/** The licences of all that ships with the program. */
@Command(name = "notices", description = "Says which packages and fonts ship with Zebrawood, each with its licence.")
final class Notices implements Callable<Integer> {

    @Override
    public Integer call() throws IOException {
        System.out.println(
                text(Notices.class.getResourceAsStream("/THIRD-PARTY.txt")).strip());
        for (String font : new String[] {"B612", "DejaVu"}) {
            System.out.println("\nFont " + font + ":\n");
            System.out.println(text(Fonts.class.getResourceAsStream("/zebrawood/kit/font/" + font + "-LICENSE.txt"))
                    .strip());
        }
        return Exit.DONE;
    }

    private static String text(InputStream stream) throws IOException {
        try (InputStream in = stream) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }
}
