<?php

declare(strict_types=1);

namespace HandGarden\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261210000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Pictures of own exercises name no things and second hands that are drawn otherwise now';
    }

    public function up(Schema $schema): void
    {
        // Poses keep their names; what lay round them is set anew when the exercise is changed.
        $this->addSql("UPDATE own_exercise
            SET written = jsonb_set(written, '{picture}', (written->'picture') - 'other' - 'things')
            WHERE jsonb_exists(written->'picture', 'start')");
    }

    public function down(Schema $schema): void
    {
        // older programs draw the hand alone as well
    }
}
