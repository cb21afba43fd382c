-- How many rows of a picture's file are read at once where it is wanted smaller; 0 where it is read whole, null for pictures of before.
alter table picture add column band integer;
