ALTER TABLE "sign_in_limit" ALTER COLUMN "expire" SET DATA TYPE bigint USING (extract(epoch from "expire") * 1000)::bigint;
