<?php

declare(strict_types=1);

// A mail server that takes what is sent to it, as RFC 5321 has it: mail-server.php PORT-FILE TRANSCRIPT [REFUSED]
// It writes its port into a file, and everything that is said to it into another; mail to an address with REFUSED in it is
// refused. It ends when nobody has come for a while.
[, $portFile, $transcript] = $argv;
$refused = $argv[3] ?? "\0";
$server = stream_socket_server('tcp://127.0.0.1:0') ?: exit(1);
file_put_contents("$portFile.new", (string) substr((string) strrchr((string) stream_socket_get_name($server, false), ':'), 1));
rename("$portFile.new", $portFile);
while (($client = @stream_socket_accept($server, 20)) !== false) {
    $say = fn (string $line) => fwrite($client, "$line\r\n");
    $say('220 mail.example ready');
    $isData = false;
    while (($line = fgets($client)) !== false) {
        file_put_contents($transcript, $line, FILE_APPEND);
        $line = rtrim($line, "\r\n");
        if ($isData) {
            if ($line === '.') {
                $isData = false;
                $say('250 taken');
            }
        } elseif (str_starts_with($line, 'EHLO')) {
            $say('250-mail.example');
            $say('250-AUTH PLAIN');
            $say('250 8BITMIME');
        } elseif (str_starts_with($line, 'AUTH')) {
            $say($line === 'AUTH PLAIN '.base64_encode("office\0office\0secret") ? '235 welcome' : '535 who are you');
        } elseif (str_starts_with($line, 'RCPT') && str_contains($line, $refused)) {
            $say('550 nobody of that name here');
        } elseif ($line === 'DATA') {
            $isData = true;
            $say('354 go on');
        } elseif ($line === 'QUIT') {
            $say('221 bye');
            break;
        } else {
            $say('250 well');
        }
    }
    fclose($client);
}
