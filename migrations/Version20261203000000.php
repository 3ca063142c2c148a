<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261203000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'One go through the hook and two-up sequence is one repetition of sixteen parts, not eleven of one';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(<<<'SQL'
            UPDATE prescribed_dose SET dose = jsonb_set(dose::jsonb, '{repetitions}', '1')::json
            WHERE item_key LIKE 'hook-two-up-switch|%'
            SQL);
    }

    public function down(Schema $schema): void
    {
        $this->addSql(<<<'SQL'
            UPDATE prescribed_dose SET dose = jsonb_set(dose::jsonb, '{repetitions}', '11')::json
            WHERE item_key LIKE 'hook-two-up-switch|%'
            SQL);
    }
}
