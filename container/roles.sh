#!/usr/bin/env bash
# The two roles of the product, made once when the database is: the owner migrates and seeds, the server signs in under one
# that owns no table and may not step around row policies.
set -eu
psql -v ON_ERROR_STOP=1 -U postgres -d postgres -v owner="$OWNER_PASSWORD" -v app="$APP_PASSWORD" <<'SQL'
create role umbracell_owner login password :'owner';
create role umbracell_app login nosuperuser nobypassrls nocreatedb nocreaterole password :'app';
create database umbracell owner umbracell_owner;
SQL
