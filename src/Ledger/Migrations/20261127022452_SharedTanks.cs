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

            migrationBuilder.CreateIndex(name: "IX_Standings_TankId", table: "Standings", column: "TankId");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropIndex(name: "IX_Standings_TankId", table: "Standings");

            migrationBuilder.DropColumn(name: "TankId", table: "Standings");
        }
    }
}
