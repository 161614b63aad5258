-- a blank before each word, the first included, so that short words are found by the index at a word's start
update listing set words = ' ' || words where words not like ' %';
