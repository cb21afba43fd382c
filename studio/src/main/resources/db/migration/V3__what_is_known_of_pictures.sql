-- When it was taken, as its file says, and the focal point that the program proposes, as shares of its sides.
alter table picture add column taken timestamp;
alter table picture add column focal_x double precision;
alter table picture add column focal_y double precision;
