/** Who a program is: its token, what that may do, and the gate that asks. */
package pemblar.app.program.key;
