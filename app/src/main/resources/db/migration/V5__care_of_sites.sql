-- When a site was last tested on the bench, and when somebody has to go there next.
alter table site add column bench_test date;
alter table site add column upkeep date;
