-- Who said or tried something stays written down when they are taken off the household: put back, all of it is theirs again.

ALTER TABLE tasting DROP CONSTRAINT tasting_eater_id_fkey;
ALTER TABLE triangle_test DROP CONSTRAINT triangle_test_server_id_fkey;
ALTER TABLE triangle_answer DROP CONSTRAINT triangle_answer_eater_id_fkey;
ALTER TABLE practice_run DROP CONSTRAINT practice_run_eater_id_fkey;
