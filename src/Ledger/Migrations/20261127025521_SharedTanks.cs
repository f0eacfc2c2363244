using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Ledger.Migrations
{
    /// <inheritdoc />
    public partial class SharedTanks : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<Guid>(name: "TankId", table: "Standings", type: "TEXT", nullable: true);

            migrationBuilder.CreateTable(
                name: "Contacts",
                columns: table => new
                {
                    Sequence = table
                        .Column<long>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    AtTicks = table.Column<long>(type: "INTEGER", nullable: false),
                    WrittenTicks = table.Column<long>(type: "INTEGER", nullable: false),
                    WrittenBy = table.Column<string>(type: "TEXT", nullable: false),
                    Act = table.Column<string>(type: "TEXT", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Contacts", x => x.Sequence);
                }
            );

            migrationBuilder.CreateIndex(name: "IX_Standings_TankId", table: "Standings", column: "TankId");

            migrationBuilder.CreateIndex(name: "IX_Contacts_Id", table: "Contacts", column: "Id", unique: true);

            foreach (var (name, doing) in new[] { ("changed", "UPDATE"), ("removed", "DELETE") })
            {
                migrationBuilder.Sql(
                    $"CREATE TRIGGER Contacts_is_never_{name} BEFORE {doing} ON Contacts BEGIN SELECT RAISE(ABORT, 'The journal is append-only.'); END;"
                );
            }
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(name: "Contacts");

            migrationBuilder.DropIndex(name: "IX_Standings_TankId", table: "Standings");

            migrationBuilder.DropColumn(name: "TankId", table: "Standings");
        }
    }
}
