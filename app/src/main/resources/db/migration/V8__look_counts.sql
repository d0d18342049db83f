-- What a look at a stock plant counted, by sort of piece; the empty sort is pieces of whatever sort.
alter table stock_look add column counts longtext not null default '{}';
update stock_look set counts = json_object('', pieces) where pieces is not null;
alter table stock_look drop column pieces;
