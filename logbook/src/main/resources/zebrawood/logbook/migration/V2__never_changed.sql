-- Append only, said to the database too.
create trigger entry_never_changed before update on entry begin select raise(abort, 'entries are never changed'); end;
create trigger entry_never_deleted before delete on entry begin select raise(abort, 'entries are never deleted'); end;
create trigger shop_chain_never_changed before update on shop_chain begin select raise(abort, 'the shop chain is never changed'); end;
create trigger shop_chain_never_deleted before delete on shop_chain begin select raise(abort, 'the shop chain is never cut'); end;
create trigger attachment_never_changed before update on attachment_part begin select raise(abort, 'attachments are never changed'); end;
create trigger attachment_never_deleted before delete on attachment_part begin select raise(abort, 'attachments are never deleted'); end;
