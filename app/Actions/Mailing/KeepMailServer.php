<?php

declare(strict_types=1);

namespace App\Actions\Mailing;

use Almanac\Mailing\MailSecurity;
use Almanac\Reach\EmailAddress;
use Almanac\Records\StaleSave;
use App\Models\MailServer;
use App\Models\User;
use App\Outside\MailWay;
use App\Time\Clock;
use App\Validation\FieldProblems;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Symfony\Component\Mailer\Exception\TransportExceptionInterface;
use Symfony\Component\Mime\Email;
use Symfony\Component\Mime\Exception\ExceptionInterface;

/** Keeps the mail server that the office sends by, tries it, and forgets it. */
final readonly class KeepMailServer
{
    private const LAST_PORT = 65535;

    public function __construct(private MailWay $way, private Clock $clock)
    {
    }

    /**
     * @param array{host: string, port: int, security: string, userName: string, password: string|null, sender: string} $input without a
     *
     *       password, it stays as it is
     *
     * @throws ValidationException when it cannot be such a server
     * @throws StaleSave when somebody else has saved it since
     */
    public function save(array $input, int $version): MailServer
    {
        return DB::transaction(function () use ($input, $version): MailServer {
            $server = MailServer::current() ?? new MailServer(['password' => '']);
            StaleSave::unlessSeen($server->version, $version, 'the mail server');
            $problems = new FieldProblems;
            $host = strtolower(trim($input['host']));
            if (
                filter_var($host, FILTER_VALIDATE_DOMAIN, FILTER_FLAG_HOSTNAME) === false
                && filter_var($host, FILTER_VALIDATE_IP) === false
            ) {
                $problems->add('host', 'Type the name of the server, such as mail.example.com.');
            }
            if ($input['port'] < 1 || $input['port'] > self::LAST_PORT) {
                $problems->add('port', 'A number from 1 to 65535.');
            }
            $sender = trim($input['sender']) === ''
                ? ''
                : $problems->at('sender', fn () => (string) EmailAddress::fromTyped($input['sender'])->address());
            $isSigned = trim($input['userName']) !== '';
            // A password goes to the server for which it was typed, and to no other.
            $isOther = $server->exists && $server->host !== $host;
            if ($isSigned && $input['password'] === null && ($isOther || $server->password === '')) {
                $problems->add('password', 'Type the password for this server.');
            }
            $problems->throwIfAny();
            $server->fill([
                'host' => $host,
                'port' => $input['port'],
                'security' => MailSecurity::from($input['security']),
                'user_name' => trim($input['userName']),
                'password' => $isSigned ? $input['password'] ?? $server->password : '',
                'sender' => $sender,
                'version' => $version + 1,
            ])->save();

            return $server;
        });
    }

    /** @throws StaleSave when somebody else has saved it since */
    public function forget(int $version): void
    {
        DB::transaction(function () use ($version): void {
            $server = MailServer::current();
            if ($server !== null) {
                StaleSave::unlessSeen($server->version, $version, 'the mail server');
                $server->delete();
            }
        });
    }

    /** @throws ValidationException when a message to whoever tries it does not get through, with what the server said */
    public function try(User $by): void
    {
        $server = MailServer::current() ?? throw ValidationException::withMessages(['host' => 'Save a mail server first.']);
        $from = $server->sendsFor($by);
        try {
            $message = (new Email)->from($from)->to($by->email)->subject('Neat Almanac can send')->date($this->clock->now())
                ->text("This message came by $server->host. What the office sends goes that way from now on.");
            $this->way->send($server, $from, [$by->email], $message->toString());
        } catch (TransportExceptionInterface|ExceptionInterface $why) {
            throw ValidationException::withMessages(['host' => 'It did not get through: '.mb_strimwidth($why->getMessage(), 0, 300, '…')]);
        }
    }
}
