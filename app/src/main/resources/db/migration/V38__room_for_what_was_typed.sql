-- A large form that is refused is kept in the session until its page has put it back.
alter table SPRING_SESSION_ATTRIBUTES modify column ATTRIBUTE_BYTES mediumblob not null;
