<?php

declare(strict_types=1);

namespace HandGarden\Desk\Mailbox;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;
use Symfony\Component\Mailer\Transport\AbstractTransportFactory;
use Symfony\Component\Mailer\Transport\Dsn;
use Symfony\Component\Mailer\Transport\TransportInterface;

#[AutoconfigureTag('mailer.transport_factory')]
final class MailboxTransportFactory extends AbstractTransportFactory
{
    public function __construct(
        private readonly MailboxTransport $transport,
    ) {
        parent::__construct();
    }

    public function create(Dsn $dsn): TransportInterface
    {
        return $this->transport;
    }

    /** @return list<string> */
    protected function getSupportedSchemes(): array
    {
        return [MailboxTransport::SCHEME];
    }
}
