<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** What is stored is a code, what is shown is a translation: words that were stored become codes, by these tables. */
final class Version20261130180000 extends AbstractMigration
{
    private const PROPOSALS = [
        'suspend routine' => 'suspend-routine',
        'rung below' => 'rung-below',
        'release first' => 'release-first',
        'shorten sitting' => 'shorten-sitting',
        'step down after a break' => 'step-down-after-a-break',
        'measure and place again' => 'measure-and-place-again',
        'next rung' => 'next-rung',
    ];

    private const COMPENSATIONS = [
        'shoulder hike' => 'shoulder-hike',
        'arm winging' => 'arm-winging',
        'trunk lean' => 'trunk-lean',
        'breath held' => 'breath-held',
        'wrist drop' => 'wrist-drop',
        'palm turned' => 'palm-turned',
        'quick jerk' => 'quick-jerk',
    ];

    private const NOT_ASKED = ['not asked', 'not-asked'];

    public function getDescription(): string
    {
        return 'Codes instead of words: kinds of proposals, trick movements, not asked';
    }

    public function up(Schema $schema): void
    {
        foreach (self::PROPOSALS as $word => $code) {
            $this->addSql('UPDATE decision SET kind = ? WHERE kind = ?', [$code, $word]);
        }
        foreach (self::COMPENSATIONS as $word => $code) {
            foreach (['sitting_item' => 'told', 'sitting_event' => 'body'] as $table => $column) {
                $this->addSql(
                    \sprintf(
                        "UPDATE %1\$s SET %2\$s = jsonb_set(%2\$s, '{compensations}', (
                            SELECT jsonb_agg(CASE word WHEN ? THEN ? ELSE word END ORDER BY nth)
                            FROM jsonb_array_elements_text(%2\$s->'compensations') WITH ORDINALITY AS t (word, nth)
                        )) WHERE %2\$s->'compensations' @> to_jsonb(CAST(? AS TEXT))",
                        $table,
                        $column,
                    ),
                    [$word, $code, $word],
                );
            }
        }
        foreach (['reading' => 'medication', 'screening_answer' => 'answer'] as $table => $column) {
            $this->addSql(
                \sprintf('UPDATE %1$s SET %2$s = ? WHERE %2$s = ?', $table, $column),
                array_reverse(self::NOT_ASKED),
            );
        }
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('The program reads codes.');
    }
}
