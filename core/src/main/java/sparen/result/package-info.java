/** What comes out of a run: events, ledger, figures, trace. Plain records that know nothing of how they came about. */
package sparen.result;
