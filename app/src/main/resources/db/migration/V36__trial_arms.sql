-- A trial may have a third and a fourth arm.
alter table trial add column third_arm varchar(120) after second_arm, add column fourth_arm varchar(120) after third_arm;
