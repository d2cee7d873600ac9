<?php

declare(strict_types=1);

namespace App\Backup;

use Illuminate\Support\Facades\DB;

/**
 * Checksums of all rows of a database, plan by plan: of each row a hash of all that is in it, of many rows these hashes added up by
 * exclusive or, so that their order is of no account. What hangs on no plan counts by table.
 */
final readonly class RowSums
{
    /** What goes by itself, and is no part of anybody's work. */
    private const PASSING = ['sessions', 'jobs', 'cache', 'cache_locks'];

    /**
     * @param array<string, string> $plans  plan → checksum
     * @param array<string, string> $tables table → checksum
     */
    private function __construct(public array $plans, public array $tables) {}

    public static function of(string $database): self
    {
        $plans = $tables = [];
        foreach (self::columns($database) as $table => $columns) {
            $by = match (true) {
                $table === 'plans' => 'id',
                \in_array('plan_id', $columns, true) => 'plan_id',
                default => null,
            };
            $row = 'CONCAT_WS(0x1f, ' . implode(', ', array_map(static fn(string $name): string => "COALESCE(HEX(`{$name}`), '-')", $columns)) . ')';
            $sum = "CONCAT(COUNT(*), ':', LPAD(CONV(BIT_XOR(CAST(CONV(LEFT(SHA2({$row}, 256), 16), 16, 10) AS UNSIGNED)), 10, 16), 16, '0'))";
            if ($by === null) {
                $tables[$table] = (string) (DB::selectOne("SELECT {$sum} AS of_all FROM `{$database}`.`{$table}`")->of_all ?? '');
                continue;
            }
            foreach (DB::cursor("SELECT `{$by}` AS plan, {$sum} AS of_all FROM `{$database}`.`{$table}` GROUP BY `{$by}`") as $one) {
                $plans[(string) $one->plan] = hash('xxh128', ($plans[(string) $one->plan] ?? '') . "{$table} {$one->of_all}");
            }
        }

        return new self($plans, $tables);
    }

    /** @return array<string, list<string>> table → its columns, in one order */
    private static function columns(string $database): array
    {
        $columns = [];
        $rows = DB::select(
            'SELECT c.table_name AS in_table, c.column_name AS named FROM information_schema.columns c
            JOIN information_schema.tables t USING (table_schema, table_name)
            WHERE c.table_schema = ? AND t.table_type = ? ORDER BY c.table_name, c.column_name',
            [$database, 'BASE TABLE'],
        );
        foreach ($rows as $row) {
            \in_array($row->in_table, self::PASSING, true) ?: $columns[$row->in_table][] = $row->named;
        }

        return $columns;
    }
}
