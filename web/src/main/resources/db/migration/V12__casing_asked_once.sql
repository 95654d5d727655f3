-- Until now a tire was light where nobody opened the details of the form. Which of these was meant, only its rider knows:
-- the page of the tire, and of its bike, asks once. A tire that is entered or changed from now on was chosen.

alter table tire add column casing_unchosen boolean;

update tire set casing_unchosen = true where casing = 'LIGHT';
