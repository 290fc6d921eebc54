/**
 * What is typed and where it goes: a stop's list of fields, the draft with its undo, the worksheet that becomes
 * readings, and a form that lays fields out under a drawing.
 */
package zebrawood.kit.form;
