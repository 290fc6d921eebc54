package zebrawood.desktop.paper;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.Map;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.COSObjectable;
import org.apache.pdfbox.pdmodel.common.PDNumberTreeNode;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDMarkInfo;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDMarkedContentReference;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDParentTreeValue;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureTreeRoot;

/**
 * What is what on the pages, for screen readers: headings, paragraphs, tables, drawings with their words, in the order
 * of reading. After ISO 32000-1, 14.7 and 14.8.
 */
final class Tags {

    private final PDStructureTreeRoot root = new PDStructureTreeRoot();
    private final PDStructureElement document;
    private final Map<PDPage, COSArray> marked = new HashMap<>();
    private final Map<Integer, COSObjectable> parents = new HashMap<>();

    Tags(PDDocument pdf) {
        PDMarkInfo info = new PDMarkInfo();
        info.setMarked(true);
        pdf.getDocumentCatalog().setMarkInfo(info);
        pdf.getDocumentCatalog().setStructureTreeRoot(root);
        document = new PDStructureElement("Document", root);
        root.appendKid(document);
    }

    /** Something that stands by itself. */
    PDStructureElement add(String type) {
        return add(document, type);
    }

    /** A part of something: a row of a table, a cell of a row. */
    PDStructureElement add(PDStructureElement parent, String type) {
        PDStructureElement element = new PDStructureElement(type, parent);
        parent.appendKid(element);
        return element;
    }

    /** Runs what draws a part of an element; an element may go on at another place, and on another page. */
    void mark(PDPage page, PDPageContentStream stream, PDStructureElement element, Runnable drawing) {
        COSArray ofPage = marked.computeIfAbsent(page, key -> {
            COSArray elements = new COSArray();
            page.setStructParents(parents.size());
            parents.put(parents.size(), new PDParentTreeValue(elements));
            return elements;
        });
        int number = ofPage.size();
        ofPage.add(element);
        PDMarkedContentReference reference = new PDMarkedContentReference();
        reference.setPage(page);
        reference.setMCID(number);
        element.appendKid(reference);
        try {
            stream.beginMarkedContent(COSName.getPDFName(element.getStandardStructureType()), number);
            drawing.run();
            stream.endMarkedContent();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Runs what draws something that says nothing: a rule, the grain. */
    static void silent(PDPageContentStream stream, Runnable drawing) {
        try {
            stream.beginMarkedContent(COSName.ARTIFACT);
            drawing.run();
            stream.endMarkedContent();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Ties the pages to what they show. */
    void finish() {
        PDNumberTreeNode tree = new PDNumberTreeNode(PDParentTreeValue.class);
        tree.setNumbers(parents);
        root.setParentTree(tree);
        root.setParentTreeNextKey(parents.size());
    }
}
