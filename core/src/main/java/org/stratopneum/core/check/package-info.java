/**
 * What can be wrong with something that was entered: every fault at once, each with its field, rule, limit and unit;
 * and what a model says of a combination that can be entered but is not good. Wording is not kept here.
 */
package org.stratopneum.core.check;
